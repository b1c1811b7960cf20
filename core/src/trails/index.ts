import { fitOf, type Fit } from '../schema/fit.ts';
import { assemble, type Machine } from '../machine/machine.ts';
import { Site } from '../machine/site.ts';
import type { TrailKind } from '../machine/trail.ts';
import type { FitOut } from '../schema/fitOut.ts';
import { AIR_TRAILS } from './air/kinds/index.ts';
import { CHARGE_TRAILS } from './charge/kinds/index.ts';
import { COMPRESSION_TRAILS } from './compression/kinds/index.ts';
import { CRANK_TRAILS } from './crank/kinds/index.ts';
import { FUEL_TRAILS } from './fuel/kinds/index.ts';
import { STOP_TRAILS } from './stop/kinds/index.ts';
import { TIMING_TRAILS } from './timing/kinds/index.ts';
import { SPARK_TRAILS } from './spark/kinds/index.ts';

/** The one place that lists the trails: one line each. */
const TRAIL_KINDS: readonly TrailKind[] = [
  ...SPARK_TRAILS,
  ...CRANK_TRAILS,
  ...CHARGE_TRAILS,
  ...FUEL_TRAILS,
  ...TIMING_TRAILS,
  ...STOP_TRAILS,
  ...AIR_TRAILS,
  ...COMPRESSION_TRAILS,
];

/** Throws on a kind that is not registered; the schema has refused it before. */
function kindOf(trail: string, kind: string): TrailKind {
  const found = TRAIL_KINDS.find((k) => k.trail === trail && k.kind === kind);
  if (!found) throw new RangeError(`No kind "${kind}" of the trail "${trail}"`);
  return found;
}

/** Order in which trails are built: what comes later finds in place what the earlier ones share. */
const ORDER = ['spark', 'crank', 'charge', 'fuel', 'timing', 'stop', 'air', 'compression'];

/** The machine of a fit-out, every trail of it on one site. */
export function buildMachine(fitOut: FitOut): Machine {
  const fit: Fit = fitOf(fitOut);
  const kinds = [...fitOut.trails]
    .sort((a, b) => ORDER.indexOf(a.trail) - ORDER.indexOf(b.trail))
    .map((t) => kindOf(t.trail, t.kind));
  const site = new Site(fit, kinds.find((k) => k.ground)?.ground ?? 'battery');
  return assemble(
    fit,
    kinds.map((kind) => kind.build(fit, site)),
  );
}
