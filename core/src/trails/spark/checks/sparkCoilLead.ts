import { CRANKING, crankOrFlick, SPARK_CAUTIONS, type CheckMaker } from '../../../machine/check.ts';

export const sparkCoilLead: CheckMaker = (machine) => [
  {
    id: 'spark-coil-lead',
    station: 'coil-lead',
    label: 'Spark at the coil lead',
    set: crankOrFlick(machine, 'Crank, gearbox out of gear'),
    touch: 'Coil lead out of the cap, into the tester; tester’s clip on the engine block.',
    watch: 'Fat and regular is good; thin, yellow or now and then is weak.',
    instrument: 'spark tester',
    probe: { kind: 'spark', place: 'coil lead', cylinder: 1 },
    state: CRANKING,
    words: ['none', 'weak', 'good'],
    needs: ['coil-lead'],
    minutes: 1.5,
    opens: [],
    cautions: SPARK_CAUTIONS.concat(machine.fit.marine ? ['marine'] : []),
  },
];
