/** What the spread between the lobes of one cam says. */
export interface Lobes {
  readonly mean: number;
  /** Largest less smallest, in the unit given. */
  readonly spread: number;
  /** One swing a turn is a bent or worn shaft; one that opens less than all others is worn, one that opens more is not. */
  readonly says: 'even' | 'shaft' | 'lobe' | 'proud' | 'uneven';
  /** The lobe that stands alone, counted from 1. */
  readonly lobe: number | undefined;
}

/** Of the spread's square, so much must be one swing a turn to be called the shaft's. */
const ONE_SWING = 0.85;
/** A lobe stands alone where leaving it out leaves less than so much of the spread. */
const WITHOUT = 0.35;

/**
 * Gaps measured lobe by lobe, in their order around the shaft; `tolerance` in their unit. A shaft that is bent
 * or loose in its bushes moves the cam once a turn, so the lobes follow one sine; a worn lobe is off by itself.
 */
export function lobesOf(values: readonly number[], tolerance: number): Lobes {
  const n = values.length;
  const mean = values.reduce((a, b) => a + b, 0) / n;
  const spread = Math.max(...values) - Math.min(...values);
  if (n < 3 || spread <= tolerance)
    return { mean, spread, says: spread <= tolerance ? 'even' : 'uneven', lobe: undefined };
  const angle = (k: number) => (2 * Math.PI * k) / n;
  const along = (2 / n) * values.reduce((sum, v, k) => sum + (v - mean) * Math.cos(angle(k)), 0);
  const across = (2 / n) * values.reduce((sum, v, k) => sum + (v - mean) * Math.sin(angle(k)), 0);
  const total = values.reduce((sum, v) => sum + (v - mean) ** 2, 0) / n;
  if (n > 3 && (along ** 2 + across ** 2) / 2 / total >= ONE_SWING)
    return { mean, spread, says: 'shaft', lobe: undefined };
  const alone = values.findIndex((_v, k) => {
    const others = values.filter((_o, i) => i !== k);
    return Math.max(...others) - Math.min(...others) <= WITHOUT * spread;
  });
  if (alone < 0) return { mean, spread, says: 'uneven', lobe: undefined };
  return { mean, spread, says: values[alone]! < mean ? 'lobe' : 'proud', lobe: alone + 1 };
}

/**
 * Where the metal of worn points went. The contact that lost it tells the condenser: metal gone from the negative one
 * is too small a capacity, from the positive one too large (the rule of three minuses). Current flows from the coil
 * through the moving arm where the battery's minus is earthed.
 */
export function condenserBy(lost: 'moving' | 'fixed', earth: 'negative' | 'positive'): 'too small' | 'too large' {
  const movingIsMinus = earth === 'positive';
  return (lost === 'moving') === movingIsMinus ? 'too small' : 'too large';
}

/** Dwell that moves by more than this from idle to fast does not stand by itself; degrees, by usage. */
const WANDERS = 3;
/**
 * Dwell read idling and fast, of the same gap: a follower that keeps up and a shaft that stands still read alike. What
 * grows is the shaft; what falls has more than one reason, and a plate that its hose turns is the first.
 */
export const dwellAcross = (idle: number, fast: number): 'steady' | 'grows' | 'falls' =>
  Math.abs(fast - idle) <= WANDERS ? 'steady' : fast < idle ? 'falls' : 'grows';
