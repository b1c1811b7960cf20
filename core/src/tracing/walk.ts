import { OPENING_MINUTES, type Opening } from '../machine/check.ts';

interface Walked {
  readonly id: string;
  readonly station: string;
  readonly opens: readonly Opening[];
}

/**
 * Checks in the order of walking: what needs nothing opened first, then one opening after the other, the quickest
 * first; within each from the trail's source on. `stations`: ids in the machine's order.
 */
export function inWalkingOrder<C extends Walked>(
  checks: readonly C[],
  stations: readonly string[],
  open: readonly Opening[] = [],
): C[] {
  const toOpen = (c: C) => c.opens.filter((o) => !open.includes(o));
  const minutes = (c: C) => toOpen(c).reduce((sum, o) => sum + OPENING_MINUTES[o], 0);
  const place = (c: C) => {
    const at = stations.indexOf(c.station);
    return at < 0 ? stations.length : at;
  };
  return [...checks].sort(
    (a, b) => minutes(a) - minutes(b) || toOpen(a).join().localeCompare(toOpen(b).join()) || place(a) - place(b),
  );
}
