import { turnedByStarter } from '../machine/doings.ts';
import type { CautionId } from '../schema/cautions.ts';
import type { Machine } from '../machine/machine.ts';
import type { Complaint } from '../schema/job.ts';
import type { SymptomId } from '../schema/symptoms.ts';
import type { Check } from '../trails/checks.ts';
import { BY_HAND, PLUGS_OUT, type HandWord } from '../engine/plugsOut.ts';
import type { Story } from './events.ts';
import type { RankedCheck } from './nextCheck.ts';

/** What a cylinder full of water or fuel, or an engine that is held, does when the key is turned. */
const HELD: ReadonlySet<SymptomId> = new Set<SymptomId>(['crank-click', 'crank-slow', 'floods']);
/** What was told to have happened that fills a cylinder. */
const FILLS: ReadonlySet<string> = new Set(['under water', 'stood in the wet']);

/** A drowned or seized cylinder may be what is behind it. */
export const mayBeHeld = ({ symptom, also, happened = [] }: Complaint): boolean =>
  HELD.has(symptom) || (also !== undefined && HELD.has(also)) || happened.some((h) => FILLS.has(h));

const FREE: HandWord = 'turns freely, dry';
/** Turned through by hand it was free, or what was in it was drained. */
const cleared = ({ readings, repaired }: Story): boolean =>
  repaired.has('engine.drain') ||
  readings.some(
    ({ reading: { checkId, value } }) =>
      value.kind === 'word' &&
      ((checkId === PLUGS_OUT && value.word === FREE) || (checkId === BY_HAND && value.word === 'as usual')),
  );

/** Whether its starter may bend a rod: nobody has turned it by hand yet. */
export const byHandFirst = (complaint: Complaint, story: Story): boolean => mayBeHeld(complaint) && !cleared(story);

/**
 * The engine is turned by hand before any check that is taken with its starter. What can be read without either goes
 * before both as long as it tells more a minute than turning it by hand and then by its starter.
 */
export function handFirst(machine: Machine, ranked: readonly RankedCheck[]): RankedCheck[] {
  const hand = ranked.find((r) => r.check.id === PLUGS_OUT);
  const first = ranked.findIndex((r) => turnedByStarter(machine, r.check));
  const engaged = ranked[first];
  if (!hand || !engaged || ranked.indexOf(hand) < first) return [...ranked];
  const both = (hand.bits + engaged.bits) / (hand.minutes + engaged.minutes);
  const before = (r: RankedCheck, place: number): boolean =>
    place < first || (r !== hand && !turnedByStarter(machine, r.check) && r.bitsPerMinute > both);
  return [
    ...ranked.filter((r, place) => before(r, place)),
    hand,
    ...ranked.filter((r, place) => r !== hand && !before(r, place)),
  ];
}

/** Of a check on such a job: what stands before it besides its own. */
export const heldCautions = (machine: Machine, check: Check, first: boolean): readonly CautionId[] =>
  first && turnedByStarter(machine, check) && !check.cautions.includes('drowned cylinder')
    ? ['drowned cylinder', ...check.cautions]
    : check.cautions;
