import { CRANKING, SPARK_CAUTIONS, type CheckMaker } from '../../../machine/check.ts';

export const sparkPlugLead: CheckMaker = (machine) => [
  {
    id: 'spark-plug-lead',
    station: 'plug-leads',
    label: 'Spark at plug lead 1',
    set: 'Crank, gearbox out of gear.',
    touch: 'Lead 1 off its plug, into the tester; tester’s clip on the engine block.',
    watch: 'Good at the coil lead but not here: cap or rotor.',
    instrument: 'spark tester',
    probe: { kind: 'spark', place: 'plug lead', cylinder: 1 },
    state: CRANKING,
    words: ['none', 'weak', 'good'],
    needs: ['rotor'],
    minutes: 1.4,
    opens: [],
    cautions: SPARK_CAUTIONS.concat(machine.fit.marine ? ['marine'] : []),
  },
];
