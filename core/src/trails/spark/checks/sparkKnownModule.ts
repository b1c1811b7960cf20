import { CRANKING, SPARK_CAUTIONS, type CheckMaker } from '../../../machine/check.ts';

/** Before a new one is bought: a borrowed one tried. */
export const sparkKnownModule: CheckMaker = (machine) => [
  {
    id: 'spark-known-module',
    station: 'module',
    label: 'Spark with a known-good module',
    set: 'A module known to be good plugged in, on bare metal with paste under it. Crank, out of gear.',
    touch: 'Coil lead into the tester; tester’s clip on the engine block.',
    watch:
      'If the spark comes back, the old module was the fault. Look at coil and earth before a new one goes in: they kill it.',
    instrument: 'spark tester',
    probe: { kind: 'spark', place: 'coil lead', cylinder: 1 },
    state: { ...CRANKING, clipped: ['module'] },
    words: ['none', 'weak', 'good'],
    needs: ['coil-lead'],
    minutes: 15,
    opens: [],
    cautions: SPARK_CAUTIONS.concat(machine.fit.marine ? ['marine'] : []),
  },
];
