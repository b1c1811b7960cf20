/** What still flows with a circuit's fuse out, those before it left out as well. Amperes. */
export interface Pulled {
  readonly circuit: string;
  readonly amps: number;
}
export interface Taken {
  readonly circuit: string;
  /** What it took, amperes; less than nothing where more flowed with it out. */
  readonly amps: number;
  /** Takes more than may be taken at rest. */
  readonly stays: boolean;
}
export interface DrainHunt {
  readonly taken: readonly Taken[];
  /** What flows now, amperes. */
  readonly left: number;
  readonly says: 'nothing to find' | 'go on' | 'found' | 'woke up' | 'behind the fuses';
}

/** What a clock, an aerial's booster or a module may take at rest, ampere. */
export const REST_ALLOWED = 0.05;
/** More flows than before: a door was opened, or something else woke up. Ampere. */
const WOKE = 0.05;

/**
 * Which circuit the current at rest goes to, by what is left as fuse after fuse is pulled and stays out: each took the
 * difference. `all` when nothing is left to pull: then it is what no fuse stands before.
 */
export function drainHunt(restAmps: number, pulled: readonly Pulled[], all = false): DrainHunt {
  let left = restAmps;
  const taken = pulled.map(({ circuit, amps }): Taken => {
    const took = left - amps;
    left = amps;
    return { circuit, amps: took, stays: took > REST_ALLOWED };
  });
  return { taken, left, says: saysOf(restAmps, taken, left, all) };
}

function saysOf(restAmps: number, taken: readonly Taken[], left: number, all: boolean): DrainHunt['says'] {
  if (restAmps <= REST_ALLOWED) return 'nothing to find';
  if ((taken.at(-1)?.amps ?? 0) < -WOKE) return 'woke up';
  if (left <= REST_ALLOWED) return 'found';
  return all ? 'behind the fuses' : 'go on';
}
