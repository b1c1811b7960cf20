import { CRANKING, SPARK_CAUTIONS, type Check, type CheckMaker } from '../../../machine/check.ts';
import type { Machine } from '../../../machine/machine.ts';

/** The tester at one cylinder's end of the high tension, cranking. */
export const sparkAt = (machine: Machine, n: number): Omit<Check, 'id' | 'watch'> => {
  const leads = machine.parts.some((p) => p.kind.kind === 'high-tension lead');
  return {
    station: 'plug-leads',
    label: leads ? `Spark at plug lead ${n}` : `Spark of cylinder ${n}`,
    set: 'Crank, gearbox out of gear.',
    touch: leads
      ? `Lead ${n} off its plug, into the tester; tester’s clip on the engine block.`
      : `What sits on plug ${n} off it, into the tester; tester’s clip on the engine block.`,
    instrument: 'spark tester',
    probe: { kind: 'spark', place: 'plug lead', cylinder: n },
    state: CRANKING,
    words: ['none', 'weak', 'good'],
    minutes: 1.4,
    opens: [],
    cautions: SPARK_CAUTIONS.concat(machine.fit.marine ? ['marine'] : []),
  };
};

export const sparkPlugLead: CheckMaker = (machine) => [
  {
    ...sparkAt(machine, 1),
    id: 'spark-plug-lead',
    watch: 'Good at the coil lead but not here: cap or rotor.',
    needs: ['rotor'],
  },
];
