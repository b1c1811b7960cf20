import type { Belief } from './belief.ts';
import { liesBehind } from './linked.ts';
import type { Model, ModelRepair } from './model.ts';
import { faultShares, presentShares } from './suspects.ts';

/** Why something is put right after what is put right now. */
export type Turn = 'lies behind it' | 'brings it too' | 'there too';

/** Something else that is surely wrong. */
export interface Afterwards {
  readonly repair: ModelRepair;
  /** Belief that it is there. */
  readonly share: number;
  readonly why: Turn;
}

/** Surer than this that it is there, it is put right in the same go. Judgement. */
const SURE = 0.9;
/** And from here on it is believed to bring the complaint as well. */
const BRINGS_FROM = 0.5;
const ORDER: readonly Turn[] = ['lies behind it', 'brings it too', 'there too'];

const byRepair = (shares: ReturnType<typeof presentShares>): Map<string, number> => {
  const sums = new Map<string, number>();
  for (const [{ repairId }, share] of shares) sums.set(repairId, (sums.get(repairId) ?? 0) + share);
  return sums;
};

/**
 * What is surely wrong besides what is called, in the order in which it is best done: first what spoils the repair again,
 * then what brings the complaint as well, then the rest.
 */
export function afterwards(model: Model, belief: Belief, called: string): Afterwards[] {
  const blamed = byRepair(faultShares(belief));
  return [...byRepair(presentShares(belief))]
    .filter(([id, share]) => id !== called && share > SURE)
    .map(([id, share]): Afterwards => {
      const brings = (blamed.get(id) ?? 0) > BRINGS_FROM;
      const why = liesBehind(model, id, called) ? 'lies behind it' : brings ? 'brings it too' : 'there too';
      return { repair: model.repairs.get(id)!, share: Math.min(1, share), why };
    })
    .sort((a, b) => ORDER.indexOf(a.why) - ORDER.indexOf(b.why) || b.share - a.share);
}
