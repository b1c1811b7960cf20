import type { House } from '../schema/house.ts';
import type { Belief } from './belief.ts';
import type { Model, ModelFault, ModelRepair } from './model.ts';
import { faultShares } from './suspects.ts';
import { repairShares } from './verdict.ts';

/** One way in which the part of a line may have failed. */
export interface Way {
  readonly fault: ModelFault;
  readonly share: number;
}

/** What one repair would put right: the ways of failing that it mends are one line, likeliest first. */
export interface SuspectLine {
  readonly repair: ModelRepair;
  /** Chance that the repair is needed; of several alike, that one of them is. */
  readonly share: number;
  readonly cost: number;
  readonly ways: readonly Way[];
  /** Equal parts of several cylinders that nothing tells apart yet; one where it is one. */
  readonly alike: readonly ModelRepair[];
}

/** Equal repairs whose shares differ by no more than this part are not told apart. */
const NOT_TOLD_APART = 0.1;
/** A way of failing below this part of its line is not worth a word. */
const WORTH_A_WORD = 0.02;
/** What ranks below this many repairs is looked at no more: it could only join a line by a hair. */
const LOOKED_AT = 60;

const waysBy = (belief: Belief): Map<string, Way[]> => {
  const ways = new Map<string, Way[]>();
  for (const [fault, share] of faultShares(belief)) {
    const own = ways.get(fault.repairId);
    if (own) own.push({ fault, share });
    else ways.set(fault.repairId, [{ fault, share }]);
  }
  for (const own of ways.values()) own.sort((a, b) => b.share - a.share);
  return ways;
};

/** The same ways of equal parts added up, by what the way is called. */
function together(ways: readonly Way[]): Way[] {
  const sums = new Map<string, Way>();
  for (const way of ways) {
    const name = `${way.fault.part.kind.kind} ${way.fault.mode.label}`;
    const known = sums.get(name);
    sums.set(name, known ? { fault: known.fault, share: known.share + way.share } : way);
  }
  return [...sums.values()].sort((a, b) => b.share - a.share);
}

const holds = ({ alike }: SuspectLine, repairId: string | undefined): boolean => alike.some((r) => r.id === repairId);

/**
 * Suspects by what would put them right, likeliest first; before all what is to be put right now, `called`, or what lies
 * behind the likeliest.
 */
export function suspectLines(model: Model, belief: Belief, house: House, most: number, called?: string): SuspectLine[] {
  const ways = waysBy(belief);
  const lines: { first: ModelRepair; shares: number[]; alike: ModelRepair[]; cost: number }[] = [];
  const all = repairShares(model, belief, house);
  const led = called ?? all[0]?.repair.id;
  for (const { repair, share, cost } of all.slice(0, LOOKED_AT)) {
    const kin = (r: ModelRepair) => r.follows ?? r.id;
    const near = lines.find(
      (l) => kin(l.first) === kin(repair) && Math.abs(l.shares[0]! - share) <= NOT_TOLD_APART * l.shares[0]!,
    );
    if (near) {
      near.shares.push(share);
      near.alike.push(repair);
    } else lines.push({ first: repair, shares: [share], alike: [repair], cost });
  }
  return lines
    .map(({ first, shares, alike, cost }): SuspectLine => {
      const share = Math.min(
        1,
        shares.reduce((a, b) => a + b, 0),
      );
      const own = together(alike.flatMap((r) => ways.get(r.id) ?? []));
      return { repair: first, share, cost, alike, ways: own.filter((w) => w.share >= WORTH_A_WORD * own[0]!.share) };
    })
    .sort((a, b) => Number(holds(b, led)) - Number(holds(a, led)) || b.share - a.share)
    .slice(0, most);
}
