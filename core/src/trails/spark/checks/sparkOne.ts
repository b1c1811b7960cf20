import { CRANKING, hasPart, SPARK_CAUTIONS, type CheckMaker } from '../../../machine/check.ts';

/**
 * One chosen cylinder, as somebody tried it. Never proposed: going round all of them takes hardly longer and tells more.
 * Behind a rotor the first lead has a check of its own.
 */
export const sparkOne: CheckMaker = (machine) => {
  const { cylinders, marine } = machine.fit;
  if (cylinders < 2) return [];
  const first = hasPart(machine, 'rotor') ? 2 : 1;
  const leads = machine.parts.some((p) => p.kind.kind === 'high-tension lead');
  return Array.from({ length: cylinders + 1 - first }, (_, k) => first + k).map((n) => ({
    id: `spark-cylinder-${n}`,
    station: 'plug-leads',
    label: leads ? `Spark at plug lead ${n}` : `Spark of cylinder ${n}`,
    set: 'Crank, gearbox out of gear.',
    touch: leads
      ? `Lead ${n} off its plug, into the tester; tester’s clip on the engine block.`
      : `What sits on plug ${n} off it, into the tester; tester’s clip on the engine block.`,
    watch: 'This one alone: the others may do otherwise.',
    instrument: 'spark tester',
    probe: { kind: 'spark', place: 'plug lead', cylinder: n },
    state: CRANKING,
    words: ['none', 'weak', 'good'],
    minutes: 1.4,
    opens: [],
    cautions: SPARK_CAUTIONS.concat(marine ? ['marine'] : []),
    elective: true,
  }));
};
