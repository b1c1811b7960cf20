import { CRANKING, crankOrFlick, SPARK_CAUTIONS, type CheckMaker } from '../../../machine/check.ts';

export const sparkKnownLead: CheckMaker = (machine) => [
  {
    id: 'spark-known-lead',
    station: 'coil-lead',
    label: 'Spark at the coil with a known-good lead',
    set: crankOrFlick(machine, 'Crank, gearbox out of gear'),
    touch: 'Known-good lead from the coil’s tower into the tester; tester’s clip on the engine block.',
    watch: 'If the spark comes back, the old lead was the fault.',
    instrument: 'spark tester',
    probe: { kind: 'spark', place: 'coil lead', cylinder: 1 },
    state: { ...CRANKING, clipped: ['coil-lead'] },
    words: ['none', 'weak', 'good'],
    needs: ['coil-lead'],
    minutes: 2,
    opens: [],
    cautions: SPARK_CAUTIONS.concat(machine.fit.marine ? ['marine'] : []),
  },
];
