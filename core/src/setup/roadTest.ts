export const NOTICED = [
  'knock',
  'hesitation',
  'surge',
  'hot start slow',
  'kicks back',
  'runs hot',
  'pulls well',
] as const;
export type Noticed = (typeof NOTICED)[number];

export interface Round {
  /** Before top, as set for this round. */
  readonly degrees: number;
  readonly noticed: readonly Noticed[];
}
export interface RoadVerdict {
  /** The highest figure that showed nothing of too early a spark; undefined while none did. */
  readonly clean: number | undefined;
  /** The lowest that did. */
  readonly knocks: number | undefined;
  /** What to keep once one has knocked: the highest that was tried clean, a step or more below it. */
  readonly keep: number | undefined;
  readonly next: { readonly do: 'earlier' | 'later' | 'keep'; readonly degrees: number } | undefined;
}

/** All of them come with a spark that is too early. */
const EARLY: ReadonlySet<Noticed> = new Set<Noticed>(['knock', 'kicks back', 'hot start slow']);
/** A round's step, and the step back for hotter days and poorer fuel; degrees, by the trade's usage. */
export const ROAD_STEP = 2;

/**
 * Where it knocked on the road, as a figure of its curve: set so at idle, it had as much more with its weights all out.
 * Undefined while nothing knocked.
 */
export function roadLimit(
  rounds: readonly Round[],
  weights: { readonly fullRpm: number; readonly span: number },
): { readonly rpm: number; readonly degrees: number } | undefined {
  const { knocks } = roadVerdict(rounds);
  return knocks === undefined ? undefined : { rpm: weights.fullRpm, degrees: knocks + weights.span };
}

/** The rounds of a road test, judged together. Later rounds at the same figure stand. */
export function roadVerdict(rounds: readonly Round[]): RoadVerdict {
  const last = new Map(rounds.map((r) => [r.degrees, r.noticed]));
  const early = (noticed: readonly Noticed[]) => noticed.some((n) => EARLY.has(n));
  const bad = [...last].filter(([, noticed]) => early(noticed)).map(([degrees]) => degrees);
  const knocks = bad.length ? Math.min(...bad) : undefined;
  const good = [...last].filter(([d, noticed]) => !early(noticed) && (knocks === undefined || d < knocks));
  const clean = good.length ? Math.max(...good.map(([d]) => d)) : undefined;
  if (clean === undefined)
    return {
      clean,
      knocks,
      keep: undefined,
      next: knocks === undefined ? undefined : { do: 'later', degrees: knocks - ROAD_STEP },
    };
  if (knocks === undefined)
    return { clean, knocks, keep: undefined, next: { do: 'earlier', degrees: clean + ROAD_STEP } };
  const below = good.map(([d]) => d).filter((d) => d <= knocks - ROAD_STEP);
  // Nothing is kept that nobody drove with.
  if (below.length === 0) return { clean, knocks, keep: undefined, next: { do: 'later', degrees: knocks - ROAD_STEP } };
  const keep = Math.max(...below);
  return { clean, knocks, keep, next: { do: 'keep', degrees: keep } };
}

/** Ways to set a timing where practitioners disagree, and what each costs. */
export const SCHOOLS = ['book', 'total', 'ear'] as const;
export type School = (typeof SCHOOLS)[number];
