import { z } from 'zod';

const positive = (most: number) => z.number().positive().max(most);

/** What is seen and heard of any used machine with brushes on the bench. */
export const usedPartShape = {
  name: z.string().trim().min(1, 'Say which one it is.').max(60),
  bearings: z.enum(['quiet', 'hums', 'rumbles']),
  /** Shortest brush, millimetres; not given where nobody looked. */
  brushMm: z.number().min(0).max(60).optional(),
  price: z.number().min(0).max(1e5),
};
export const measuredVolts = positive(100);
export const measuredAmps = positive(2000);
export const measuredRpm = positive(40_000);
type Seen = z.infer<z.ZodObject<typeof usedPartShape>>;

/** One thing that it wants before, or soon after, it is fitted. */
export interface Want {
  readonly what: string;
  readonly minutes: number;
  readonly money: number;
  /** Chance that it has to be done before the year is out. Judgement. */
  readonly chance: number;
}

/** Under this a brush no longer presses; millimetres. What a year's hours take off it. */
const WORN_OUT_MM = 5;
const A_YEAR_MM = 1.5;

/** What bearings and brushes ask for; `fitting` is what it takes to have the machine off again. Minutes. */
export function wantsOf({ bearings, brushMm }: Seen, fitting: number): Want[] {
  const wants: Want[] = [];
  if (bearings !== 'quiet')
    wants.push({
      what: bearings === 'rumbles' ? 'new bearings now' : 'bearings that hum: they may last the year',
      minutes: 60 + (bearings === 'rumbles' ? 0 : fitting),
      money: 18,
      chance: bearings === 'rumbles' ? 1 : 0.35,
    });
  if (brushMm !== undefined && brushMm < WORN_OUT_MM + 2 * A_YEAR_MM)
    wants.push({
      what: brushMm < WORN_OUT_MM + 0.5 ? 'new brushes now' : 'brushes that are nearly down',
      minutes: 50 + (brushMm < WORN_OUT_MM + 0.5 ? 0 : fitting),
      money: 14,
      chance: brushMm < WORN_OUT_MM + A_YEAR_MM ? 1 : 0.4,
    });
  return wants;
}

/** One of several, judged for this machine. */
export interface Compared {
  readonly name: string;
  /** Price, and what it wants at the shop's rate, each by its chance. */
  readonly cost: number;
  readonly wants: readonly Want[];
  /** Whether it does the work here at all, and how one sees that. */
  readonly does: boolean;
  readonly why: readonly string[];
  /** What was measured contradicts itself, or leaves nothing to work with. */
  readonly problem: string | undefined;
}

export const costOf = (price: number, wants: readonly Want[], ratePerHour: number): number =>
  wants.reduce((sum, w) => sum + w.chance * (w.money + (w.minutes * ratePerHour) / 60), price);

/** Those that do the work first, the cheapest of them first; what cannot be judged last. */
export const inOrder = (of: readonly Compared[]): readonly Compared[] =>
  [...of].sort(
    (a, b) =>
      Number(a.problem !== undefined) - Number(b.problem !== undefined) ||
      Number(b.does) - Number(a.does) ||
      a.cost - b.cost,
  );
