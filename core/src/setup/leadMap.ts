/** A firing order as people write it: 1-3-4-2, 1 3 4 2, 1342. */
export type OrderRead =
  | { readonly ok: true; readonly order: readonly number[] }
  | { readonly ok: false; readonly code: 'empty' | 'not numbers' | 'wrong count' | 'twice'; readonly what: string };

export function readOrder(text: string, cylinders: number): OrderRead {
  const typed = text.trim();
  if (typed === '') return { ok: false, code: 'empty', what: '' };
  const parts = /^\d+$/.test(typed) ? [...typed] : typed.split(/[\s,;.–—-]+/).filter(Boolean);
  const order = parts.map(Number);
  const bad = parts.find((p) => !/^\d+$/.test(p) || Number(p) < 1 || Number(p) > cylinders);
  if (bad !== undefined) return { ok: false, code: 'not numbers', what: bad };
  if (order.length !== cylinders) return { ok: false, code: 'wrong count', what: String(order.length) };
  const twice = order.find((c, k) => order.indexOf(c) !== k);
  return twice === undefined ? { ok: true, order } : { ok: false, code: 'twice', what: String(twice) };
}

export interface Cap {
  readonly order: readonly number[];
  /** As one looks down on the cap. */
  readonly turns: 'clockwise' | 'anticlockwise';
  /** Number one's tower, counted clockwise from 0. */
  readonly first: number;
}

/** The cylinder that belongs at each tower, clockwise from tower 0: the rotor passes them in the firing order. */
export function towersOf({ order, turns, first }: Cap): number[] {
  const n = order.length;
  const towers = new Array<number>(n);
  order.forEach((cylinder, k) => (towers[(first + (turns === 'clockwise' ? k : n - k)) % n] = cylinder));
  return towers;
}

export interface CapRead {
  readonly says: 'right' | 'half a turn out' | 'all moved on' | 'two swapped' | 'mixed';
  /** Towers at which the wrong lead stands. */
  readonly wrong: readonly number[];
  /** Of "all moved on": so many towers clockwise. */
  readonly by: number;
  /** Of "two swapped": the cylinders. */
  readonly pair: readonly [number, number] | undefined;
}

/** What stands at the towers, held against what should. Both clockwise from tower 0. */
export function readCap(found: readonly number[], wanted: readonly number[]): CapRead {
  const n = wanted.length;
  const wrong = wanted.flatMap((c, k) => (found[k] === c ? [] : [k]));
  const none = { wrong, by: 0, pair: undefined };
  if (wrong.length === 0) return { says: 'right', ...none };
  for (let by = 1; by < n; by++)
    if (wanted.every((c, k) => found[(k + by) % n] === c))
      // Of two cylinders half a turn and a swap are the same thing.
      return { ...none, says: 2 * by === n ? 'half a turn out' : 'all moved on', by };
  const [a, b] = wrong;
  if (wrong.length === 2 && found[a!] === wanted[b!] && found[b!] === wanted[a!])
    return { says: 'two swapped', wrong, by: 0, pair: [wanted[a!]!, wanted[b!]!] };
  return { says: 'mixed', ...none };
}

/**
 * Which two leads, swapped, leave exactly these cylinders dead: each of the two gets the other's spark, far from its
 * own moment, and no third is touched. Undefined where no single swap does.
 */
export function swapBehind(dead: readonly number[], order: readonly number[]) {
  const two = [...new Set(dead)].filter((c) => order.includes(c));
  if (two.length !== 2) return undefined;
  const [a, b] = [order.indexOf(two[0]!), order.indexOf(two[1]!)];
  const apart = Math.min(Math.abs(a - b), order.length - Math.abs(a - b));
  return {
    pair: two as [number, number],
    /** Towers apart in the cap: neighbours are swapped most easily. */
    apart,
    /** How far off its own moment each spark then comes, degrees of a four-stroke's crank. */
    degreesOff: (apart * 720) / order.length,
  };
}
