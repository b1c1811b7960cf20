import type { SymptomId } from '../../schema/symptoms.ts';
import { flatOvernight, lampWrong, noCharge, overcharge } from './charges.ts';
import { CRANKS } from './cranks.ts';
import { coldRuns } from './coldRuns.ts';
import { dies } from './dies.ts';
import { floods, idleWrong, noIdle, noPull, stalls } from './fuelled.ts';
import { hardStart } from './hardStart.ts';
import { kicksBack, knocks } from './timed.ts';
import { misses } from './misses.ts';
import { noFire } from './noFire.ts';
import { willNotStop } from './stopped.ts';
import type { Symptom } from './symptom.ts';

/** The one place that lists what is complained of. */
const ALL: readonly Symptom[] = [
  noFire,
  dies,
  misses,
  hardStart,
  ...CRANKS,
  noCharge,
  overcharge,
  lampWrong,
  flatOvernight,
  floods,
  stalls,
  noPull,
  noIdle,
  kicksBack,
  knocks,
  willNotStop,
  idleWrong,
  coldRuns,
];
const BY_ID = new Map(ALL.map((s) => [s.id, s]));

/** Throws on a symptom that is not registered; the schema has refused it before. */
export function symptom(id: SymptomId): Symptom {
  const found = BY_ID.get(id);
  if (!found) throw new RangeError(`No symptom "${id}"`);
  return found;
}
export { HARDLY, type Symptom } from './symptom.ts';
