import type { Tip } from '../schema/sheet.ts';

export type HeatSays =
  /** As it should be. */
  | { readonly kind: 'right' }
  /** All alike and too hot, mixture and timing seen to: plugs a step colder. */
  | { readonly kind: 'colder'; readonly steps: 1 | 2 }
  | { readonly kind: 'hotter'; readonly steps: 1 }
  /** All alike, but what would do the same has not been ruled out. */
  | { readonly kind: 'first'; readonly look: 'mixture and timing' | 'mixture and choke' | 'ignition and fuel' }
  /** Those cylinders alone: a plug of another heat hides what is wrong with them. */
  | { readonly kind: 'own'; readonly cylinders: readonly number[] };

const HOT: ReadonlySet<Tip> = new Set<Tip>(['blistered', 'white']);

/**
 * A heat range is one for all cylinders: it is changed only where all tips tell the same, and only once mixture and
 * timing are right, for a weak mixture and an early spark whiten as a hot plug does, and a rich one blackens as a cold
 * one does. One step at a time; two where the tip has begun to melt. Trade usage.
 */
export function plugHeat(tips: readonly Tip[], ruledOut: boolean): HeatSays | undefined {
  if (tips.length === 0) return undefined;
  const sort = (tip: Tip) => (HOT.has(tip) ? 'hot' : tip);
  const count = (what: string) => tips.filter((n) => sort(n) === what).length;
  const kinds = [...new Set(tips.map(sort))].sort((a, b) => count(b) - count(a));
  const most = kinds[0]!;
  if (count(most) * 2 <= tips.length && tips.length > 1)
    return { kind: 'own', cylinders: tips.flatMap((n, k) => (n === 'brown' ? [] : [k + 1])) };
  const others = tips.flatMap((n, k) => (sort(n) === most ? [] : [k + 1]));
  if (others.length > 0) return { kind: 'own', cylinders: others };
  if (most === 'brown') return { kind: 'right' };
  if (most === 'wet') return { kind: 'first', look: 'ignition and fuel' };
  if (!ruledOut) return { kind: 'first', look: most === 'hot' ? 'mixture and timing' : 'mixture and choke' };
  if (most === 'hot') return { kind: 'colder', steps: tips.includes('blistered') ? 2 : 1 };
  return { kind: 'hotter', steps: 1 };
}
