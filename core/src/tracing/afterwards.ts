import type { Belief } from './belief.ts';
import { liesBehind } from './linked.ts';
import type { Model, ModelRepair } from './model.ts';
import { blamed, repairBelief } from './verdict.ts';

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

/**
 * What is surely wrong besides what is called, in the order in which it is best done: first what spoils the repair again,
 * then what brings the complaint as well, then the rest.
 */
export function afterwards(model: Model, belief: Belief, called: string): Afterwards[] {
  const bringing = repairBelief(belief.weighed, blamed);
  return [...repairBelief(belief.weighed, () => 1)]
    .filter(([id, share]) => id !== called && share > SURE)
    .map(([id, share]): Afterwards => {
      const brings = bringing.get(id)! > BRINGS_FROM;
      const why = liesBehind(model, id, called) ? 'lies behind it' : brings ? 'brings it too' : 'there too';
      return { repair: model.repairs.get(id)!, share, why };
    })
    .sort((a, b) => ORDER.indexOf(a.why) - ORDER.indexOf(b.why) || b.share - a.share);
}
