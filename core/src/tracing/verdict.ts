import type { Check } from '../trails/checks.ts';
import type { House } from '../schema/house.ts';
import type { TrailName } from '../schema/symptoms.ts';
import type { Belief, Weighed } from './belief.ts';
import { liesBehind } from './linked.ts';
import type { Model, ModelRepair } from './model.ts';
import { notHereShare, repairGroup, soundShare, unshownShare, type outcomeTable } from './counting.ts';
import type { RankedCheck } from './nextCheck.ts';
import { costOf } from './repairCost.ts';

export interface RepairShare {
  readonly repair: ModelRepair;
  /** Chance that this repair is needed. */
  readonly share: number;
  /** Minutes at the shop's rate, and parts. */
  readonly cost: number;
}

export interface TrailShare {
  readonly trail: TrailName;
  readonly share: number;
}

export type Verdict =
  | { kind: 'check' }
  | { kind: 'fix'; repair: ModelRepair; share: number; why: 'sure' | 'cheaper than asking' | 'seen' | 'likeliest left' }
  /** Guilty by one check only, and dear: a second one first. `loss` is what is thrown away if it is not the part. */
  | { kind: 'second check'; repair: ModelRepair; share: number; check: Check; loss: number }
  /** Nothing wrong is left on the trails that are told: mended, never their fault, or nothing wrong at all; then the others, likeliest first. */
  | { kind: 'sound'; share: number; unshown: number; elsewhere: readonly TrailShare[] }
  | { kind: 'outside'; share: number }
  | { kind: 'nothing left to check' };

/** Minutes to try again after a repair that turned out not to be the one. */
const RETEST_MINUTES = 4;
/** A cheap part may be tried from here on, if asking further costs more than being wrong. */
const CHEAP_FROM = 0.97;
/** A wrong repair costs more than its price: a good part is thrown away and trust is lost. */
const WRONG_FACTOR = 3;
/** "Nothing is wrong here" sends the mechanic to another trail: the doubt left must be so much smaller, and smaller still where few readings were taken. */
const SOUND_STRICTER = { first: 0.1, later: 0.45, from: 8 } as const;
/** Nothing known fits: said only when readings have been taken again and it still does not. */
const OUTSIDE_FROM = 0.9;
const LOOKAHEAD = 8;

/** Belief in each repair: of every account, as far as that one of its faults counts which counts most. */
export function repairBelief(
  weighed: readonly Weighed[],
  counts: (w: Weighed, fault: number) => number,
): ReadonlyMap<string, number> {
  const shares = new Map<string, number>();
  for (const w of weighed) {
    const each = w.remaining.map((f, i) => ({ id: f.repairId, share: w.mass * counts(w, i) }));
    for (const id of new Set(each.map((e) => e.id))) {
      const most = Math.max(...each.filter((e) => e.id === id).map((e) => e.share));
      shares.set(id, (shares.get(id) ?? 0) + most);
    }
  }
  return shares;
}
/** To be blamed for the complaint. */
export const blamed = (w: Weighed, fault: number): number => w.blame[fault]!;

export function repairShares(model: Model, belief: Belief, house: House): RepairShare[] {
  const shares = [...repairBelief(belief.weighed, blamed)]
    .map(([id, share]) => {
      const repair = model.repairs.get(id)!;
      return { repair, share, cost: costOf(repair, house) };
    })
    .sort((a, b) => b.share - a.share);
  const [first] = shares;
  const cause =
    first?.repair.part.id === FILLED_BY_OTHERS
      ? shares.slice(1).find((s) => s.share >= CAUSE_FROM && liesBehind(model, s.repair.id, first.repair.id))
      : undefined;
  return cause ? [cause, ...shares.filter((s) => s !== cause)] : shares;
}
/**
 * What is likelier there than not and has emptied or spoilt the battery goes before it: it is flat because the belt is
 * slack, and is flat again tomorrow where only it is charged.
 */
const CAUSE_FROM = 0.5;
const FILLED_BY_OTHERS = 'battery';

/** Belief in each trail that nobody has told, likeliest first. */
const elsewhereShares = (belief: Belief): TrailShare[] =>
  belief.weighed
    .flatMap((w) => (w.elsewhere ? [{ trail: w.elsewhere, share: w.mass }] : []))
    .sort((a, b) => b.share - a.share);

/** Loss expected from doing the best repair of a distribution over groups of repairs, in money. */
function lossOf(groups: ReadonlyMap<string, number>, costs: ReadonlyMap<string, number>, retest: number): number {
  const total = [...groups.values()].reduce((a, b) => a + b, 0);
  const needed = new Map<string, number>();
  for (const [group, mass] of groups) for (const id of group.split('+')) needed.set(id, (needed.get(id) ?? 0) + mass);
  let least = Infinity;
  for (const [id, mass] of needed) {
    const wrong = 1 - mass / total;
    least = Math.min(least, wrong * ((costs.get(id) ?? 0) * WRONG_FACTOR + retest));
  }
  return least;
}

/** Expected loss after one more check, its own cost included [5]. */
function lossAfter(
  table: ReadonlyMap<string, Float64Array>,
  costs: ReadonlyMap<string, number>,
  retest: number,
): number {
  const cells = [...table.values()][0]?.length ?? 0;
  let loss = 0;
  for (let c = 0; c < cells; c++) {
    const groups = new Map([...table].map(([g, row]) => [g, row[c]!]));
    const mass = [...groups.values()].reduce((a, b) => a + b, 0);
    if (mass > 1e-9) loss += mass * lossOf(groups, costs, retest);
  }
  return loss;
}

/** From here on asking must be able to change what is done. */
const DECIDING_FROM = 0.9;
/** And from here on, being sent to another trail must. */
const SOUND_DUE = 0.99;
/** An outcome less likely than this is not waited for. */
const OUTCOME_FROM = 0.01;

/** To be sent to another trail for nothing is the longest way round: rarer outcomes count before that. */
const SENT_AWAY_FROM = 0.0025;

/** Whether some outcome of a check would make something else the thing to do. */
function changesMind(
  table: ReadonlyMap<string, Float64Array>,
  now: string,
  from = OUTCOME_FROM,
  counts: (group: string) => boolean = () => true,
): boolean {
  const rows = [...table];
  const cells = rows[0]?.[1].length ?? 0;
  for (let c = 0; c < cells; c++) {
    let [mass, most, lead] = [0, 0, now];
    for (const [group, row] of rows) {
      const p = row[c]!;
      mass += p;
      if (p > most) [most, lead] = [p, group];
    }
    // A second fault beside it changes nothing of what is done first.
    if (mass > from && lead !== now && !lead.split('+').includes(now) && counts(lead)) return true;
  }
  return false;
}

/** Bits under which a check tells nothing. */
const TELLS_SOMETHING = 0.001;
/** Where none tells anything, what is likelier than all else together is taken for it. */
const MORE_LIKELY = 0.5;
/** To be sent to another trail asks for more. */
const SOUND_LEFT = 0.8;
/** Less likely than this a repair is not tried on the chance. */
const TRIED_FROM = 0.1;
/**
 * Where no check tells anything more, repairs are tried one after the other, each by what it is likely to mend for what
 * it costs, the trial of the engine included: no other order costs less in the mean [5].
 */
function worthTrying(shares: readonly RepairShare[], house: House): RepairShare | undefined {
  const retest = (RETEST_MINUTES * house.ratePerHour) / 60;
  const worth = ({ share, cost }: RepairShare): number => share / (cost + retest);
  return shares.filter((s) => s.share >= TRIED_FROM).sort((a, b) => worth(b) - worth(a))[0];
}

/** Of a machine that passes: rather because the complaint is not there than because its reason lies elsewhere. */
export const complaintUnshown = ({ share, unshown }: Pick<Verdict & { kind: 'sound' }, 'share' | 'unshown'>): boolean =>
  unshown > share / 2;

/** What so many readings so surely do not show is not there now, unless what they do show stands out. */
const UNSHOWN = { from: 0.9, readings: 8, best: 0.3 } as const;
function doesNotShow(belief: Belief, unshown: number): boolean {
  const { fixes, readings } = belief.story;
  if (fixes.length > 0 || readings.length < UNSHOWN.readings) return false;
  // A pump that is a little worn and starves nothing is none of it.
  const bringing = belief.weighed.filter((w) => w.brings);
  if (Math.max(0, ...repairBelief(bringing, blamed).values()) >= UNSHOWN.best) return false;
  const notHere = notHereShare(belief);
  return notHere >= UNSHOWN.from && complaintUnshown({ share: notHere, unshown });
}

/** Whether a check is left, not longer than a look inside, that could yet show what is complained of. */
const LOOK_MINUTES = 15;
function couldShow(belief: Belief, useful: readonly RankedCheck[], tableOf: TableOf): boolean {
  const bringing = new Set(belief.weighed.filter((w) => w.brings).map(repairGroup));
  return [...useful]
    .filter((r) => r.minutes <= LOOK_MINUTES)
    .sort((a, b) => b.bits - a.bits)
    .slice(0, LOOKAHEAD)
    .some((r) => changesMind(tableOf(r), '', OUTCOME_FROM, (group) => bringing.has(group)));
}
type TableOf = (ranked: RankedCheck) => ReturnType<typeof outcomeTable>;

/** Check on, or mend now? `tableOf` gives the outcome table of a check. */
export function judge(
  model: Model,
  belief: Belief,
  house: House,
  ranked: readonly RankedCheck[],
  tableOf: TableOf,
): Verdict {
  const shares = repairShares(model, belief, house);
  const best = shares[0];
  const sound = soundShare(belief);
  const passed = {
    kind: 'sound',
    share: sound,
    unshown: unshownShare(belief),
    elsewhere: elsewhereShares(belief),
  } as const;
  if (belief.outside > OUTSIDE_FROM) return { kind: 'outside', share: belief.outside };
  // After a repair the prove-out asks for itself what must still pass.
  const looked = belief.story.readings.length >= SOUND_STRICTER.from;
  const strictness = belief.story.fixes.length > 0 ? 1 : looked ? SOUND_STRICTER.later : SOUND_STRICTER.first;
  if (sound >= 1 - (1 - house.sureness) * strictness) return passed;
  if (best && best.share >= house.sureness) return { kind: 'fix', repair: best.repair, share: best.share, why: 'sure' };
  const useful = ranked.filter((r) => r.bits > TELLS_SOMETHING);
  if (useful.length === 0) {
    if (sound > SOUND_LEFT) return passed;
    if (best && best.share > MORE_LIKELY)
      return { kind: 'fix', repair: best.repair, share: best.share, why: 'cheaper than asking' };
    const left = worthTrying(shares, house);
    return left
      ? { kind: 'fix', repair: left.repair, share: left.share, why: 'likeliest left' }
      : { kind: 'nothing left to check' };
  }
  if (doesNotShow(belief, passed.unshown) && !couldShow(belief, useful, tableOf))
    return { ...passed, share: notHereShare(belief) };
  // Asking that cannot send it elsewhere than to another trail is over a little sooner than asking that could.
  if (
    looked &&
    sound >= SOUND_DUE &&
    !useful.slice(0, LOOKAHEAD).some((r) => changesMind(tableOf(r), '', SENT_AWAY_FROM))
  )
    return passed;
  if (!best || best.share < DECIDING_FROM) return { kind: 'check' };
  // Asking that cannot change what is done is only asking.
  const asking = useful.slice(0, LOOKAHEAD);
  if (!asking.some((r) => changesMind(tableOf(r), best.repair.id)))
    return { kind: 'fix', repair: best.repair, share: best.share, why: 'cheaper than asking' };
  if (best.share < CHEAP_FROM) return { kind: 'check' };
  const perMinute = house.ratePerHour / 60;
  const costs = new Map(shares.map((s) => [s.repair.id, s.cost]));
  const retest = RETEST_MINUTES * perMinute;
  const atOnce = (1 - best.share) * (best.cost * WRONG_FACTOR + retest);
  const later = Math.min(...asking.map((r) => r.minutes * perMinute + lossAfter(tableOf(r), costs, retest)));
  return atOnce <= later
    ? { kind: 'fix', repair: best.repair, share: best.share, why: 'cheaper than asking' }
    : { kind: 'check' };
}
