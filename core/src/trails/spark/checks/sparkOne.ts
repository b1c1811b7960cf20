import { hasPart, type CheckMaker } from '../../../machine/check.ts';
import { sparkAt } from './sparkPlugLead.ts';

/**
 * One chosen cylinder, as somebody tried it. Never proposed: going round all of them takes hardly longer and tells more.
 * Behind a rotor the first lead has a check of its own.
 */
export const sparkOne: CheckMaker = (machine) => {
  const { cylinders } = machine.fit;
  if (cylinders < 2) return [];
  const first = hasPart(machine, 'rotor') ? 2 : 1;
  return Array.from({ length: cylinders + 1 - first }, (_, k) => first + k).map((n) => ({
    ...sparkAt(machine, n),
    id: `spark-cylinder-${n}`,
    watch: 'This one alone: the others may do otherwise.',
    elective: true,
  }));
};
