import type { Check } from './check.ts';
import type { Machine } from './machine.ts';
import type { PartInstance } from './part.ts';

/** What an engine has several of: one a cylinder, one for each pair, or one for each thing that it is tied to. */
export type Numbered =
  | 'coil'
  | 'points'
  | 'condenser'
  | 'lead'
  | 'plug'
  | 'command'
  | 'coil-wire'
  | 'coil-minus'
  | 'stop-wire'
  | 'added'
  | 'interlock'
  | 'carburettor'
  | 'compression-rings'
  | 'compression-exhaust'
  | 'compression-intake';

/** Which of several a part is. */
export interface OneOf {
  readonly what: Numbered;
  readonly n: number;
}

/** The part's id. Here and nowhere else: what a part is and which one is read from `oneOf`, never from its id. */
export const idOf = <What extends Numbered>(what: What, n: number): `${What}-${number}` => `${what}-${n}`;

/** What makes a part one of several; to be spread into it. */
export const numbered = (what: Numbered, n: number): { readonly id: string; readonly oneOf: OneOf } => ({
  id: idOf(what, n),
  oneOf: { what, n },
});

export const partsOf = (machine: Machine, ...what: Numbered[]): PartInstance[] =>
  machine.parts.filter((p) => p.oneOf && what.includes(p.oneOf.what));

/** Ids of all of a kind that the machine has. */
export const idsOf = <What extends Numbered>(machine: Machine, what: What) =>
  partsOf(machine, what).map((p) => idOf(what, p.oneOf!.n));

/** One for each thing of a kind: each coil, each pair of points. `named` numbers a word where there are several. */
export function eachOf(
  machine: Machine,
  what: Numbered,
  make: (n: number, named: (what: string) => string) => Check,
): Check[] {
  const numbers = partsOf(machine, what).map((p) => p.oneOf!.n);
  return numbers.map((n) => make(n, (word) => (numbers.length === 1 ? word : `${word} ${n}`)));
}

/** A check with a good part in its place: which one is said only where there are several. */
export const withKnownGood = (seen: string, what: string, named: (what: string) => string): string =>
  `${seen} with a known-good ${what}${named(what) === what ? '' : ` in place of ${named(what)}`}`;
