import { CRANKING, SPARK_CAUTIONS, type CheckMaker } from '../../../machine/check.ts';

/** What counts the sparks taken off: where its wire was shorted, the spark is back at once. */
export const revCounterOff: CheckMaker = () => [
  {
    id: 'rev-counter-off',
    station: 'coil-minus',
    label: 'Spark at the coil lead, rev counter’s wire off',
    set: 'Where a rev counter or an alarm hangs on the coil’s switched terminal: its wire off and kept clear. Crank, out of gear.',
    touch: 'Spark tester between the coil lead and bare metal.',
    watch: 'A spark that was not there before: that wire was shorted. Tape it up; the engine runs without it.',
    instrument: 'spark tester',
    probe: { kind: 'spark', place: 'coil lead', cylinder: 1 },
    state: { ...CRANKING, unplugged: ['rev-counter'] },
    needs: ['rev-counter', 'coil-lead'],
    minutes: 1.8,
    opens: [],
    cautions: SPARK_CAUTIONS,
  },
];
