import { idOf, numbered } from '../../machine/numbered.ts';
import type { PartInstance } from '../../machine/part.ts';
import { SHARED_PARTS as PARTS } from './parts/index.ts';
import type { Fit } from '../../schema/fit.ts';
import type { ADDED_PLACES } from '../../schema/fitOut.ts';
import type { Station } from '../../machine/trail.ts';

/** What the maker or an earlier owner put in: each a station of its own, in line at the place that is named. */
export type AddedPlace = (typeof ADDED_PLACES)[number];

const PICTURES = { interlock: 'switch', relay: 'relay', alarm: 'box', box: 'box', resistor: 'ballast' } as const;
const KINDS = {
  interlock: PARTS.interlock,
  relay: PARTS.addedBox,
  alarm: PARTS.addedBox,
  box: PARTS.addedBox,
  resistor: PARTS.addedResistor,
} as const;

/** Numbered over all places, so that one taken out at another place renames none here. */
const at = (fit: Fit, place: AddedPlace) =>
  (fit.added ?? [])
    .map((a, k) => ({ ...a, ...numbered('added', k + 1) }))
    .filter((a) => (a.at ?? 'after the switch') === place);

export const addedStations = (fit: Fit, place: AddedPlace): Station[] =>
  at(fit, place).map(({ id, label, what }) => ({ id, label, picture: PICTURES[what] }));

/** The node at which a wire ends that leads to what was added at a place, or on `to` where nothing was. */
export const addedAt = (fit: Fit, place: AddedPlace, to: string): string => at(fit, place)[0]?.id ?? to;

/** In line one after the other, the last of them ending at `to`. */
export const addedParts = (fit: Fit, place: AddedPlace, to: string): PartInstance[] =>
  at(fit, place).map(({ id, oneOf, label, what }, k, all) => ({
    id,
    oneOf,
    label,
    station: id,
    kind: KINDS[what],
    nodes: { a: id, b: all[k + 1]?.id ?? to },
  }));

export const addedNames = (fit: Fit): Record<string, string> =>
  Object.fromEntries(
    (fit.added ?? []).map((a, k) => [idOf('added', k + 1), `the near side of the ${a.label.toLowerCase()}`]),
  );
