import { CRANKING, SPARK_CAUTIONS, type CheckMaker } from '../../../machine/check.ts';

export const sparkKnownCondenser: CheckMaker = (machine) => [
  {
    id: 'spark-known-condenser',
    station: 'condenser',
    label: 'Spark at the coil lead with a known-good condenser clipped on',
    set: 'Crank, gearbox out of gear, or flick the points with the key on.',
    touch:
      'Clip the known-good condenser from the points terminal of the coil to the block; coil lead into the tester.',
    watch: 'If the spark comes back, the old condenser was open.',
    instrument: 'spark tester',
    probe: { kind: 'spark', place: 'coil lead', cylinder: 1 },
    state: { ...CRANKING, clipped: ['condenser'] },
    words: ['none', 'weak', 'good'],
    needs: ['condenser'],
    minutes: 3,
    opens: [],
    cautions: SPARK_CAUTIONS.concat(machine.fit.marine ? ['marine'] : []),
  },
];
