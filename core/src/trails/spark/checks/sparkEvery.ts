import { CRANKING, SPARK_CAUTIONS, type CheckMaker } from '../../../machine/check.ts';

export const sparkEvery: CheckMaker = (machine) => [
  {
    id: 'spark-every',
    station: 'plug-leads',
    label: 'Spark on every cylinder',
    set: 'Crank, gearbox out of gear; one lead after the other.',
    touch: 'Each plug lead in turn into the tester; tester’s clip on the engine block.',
    watch: 'All alike is what is wanted; one unlike the rest names its lead.',
    instrument: 'spark tester',
    probe: { kind: 'every spark' },
    state: CRANKING,
    words: [
      'good on all',
      'weak on all',
      'none at all',
      ...(machine.fit.cylinders > 1
        ? Array.from({ length: machine.fit.cylinders }, (_, i) => `only ${i + 1} is dead`)
        : []),
      // Of two either one is dead or both are.
      ...(machine.fit.cylinders > 2 ? ['some dead'] : []),
    ],
    minutes: 0.8 * machine.fit.cylinders,
    opens: [],
    cautions: SPARK_CAUTIONS.concat(machine.fit.marine ? ['marine'] : []),
  },
];
