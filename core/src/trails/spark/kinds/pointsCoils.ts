import { figuresAt } from '../../../machine/figures.ts';
import { idOf, numbered } from '../../../machine/numbered.ts';
import { sparkOffers } from '../offers.ts';
import type { Site } from '../../../machine/site.ts';
import { closedSeconds, requiredVolts } from '../../../ignition/index.ts';
import { PARTS, type PartInstance } from '../parts/index.ts';
import { leakAtWork } from '../parts/condenser.ts';
import { arcOhms, parallel } from '../parts/points.ts';
import type { Fit } from '../../../schema/fit.ts';
import { coilFiring, coilSpark, distributorRpm, type Drive } from '../coilSpark.ts';
import type { Known } from '../../../machine/known.ts';
import type { TrailKind, Station } from '../../../machine/trail.ts';
import type { SparkPlace } from '../../../machine/observed.ts';
import { settleSupply, supplyOffers, supplyParts, supplyStations } from '../../shared/supply.ts';
import { coilFeedParts, coilFeedStations, supplyNames } from '../coilFeed.ts';
import { coilStations, endsOfSpark } from '../trailEnds.ts';

/** One coil with two ends fires both plugs at once; else each cylinder has its own coil and points. */
const doubleEnded = (fit: Fit): boolean => fit.cylinders === 2 && fit.coils !== 'one each';
const unitOf = (fit: Fit, cylinder: number): number => (doubleEnded(fit) ? 1 : cylinder);
const units = (fit: Fit): number[] => Array.from({ length: doubleEnded(fit) ? 1 : fit.cylinders }, (_, i) => i + 1);

const beside = { name: 'Breaker', joins: 'coils' };
const stations = (fit: Fit): Station[] => [
  ...supplyStations(fit),
  ...coilFeedStations(fit),
  ...coilStations.map((s) => (s.id === 'coils' && units(fit).length === 1 ? { ...s, label: 'Coil' } : s)),
  { id: 'coil-minus', label: 'Wires to points', picture: 'wire', joint: true, lane: beside },
  { id: 'points', label: 'Points', picture: 'points', lane: beside },
  { id: 'condenser', label: 'Condensers', picture: 'condenser', lane: beside },
  { id: 'strap', label: 'Engine strap', picture: 'earth', joint: true, lane: { name: 'Earth', joins: 'points' } },
];

function parts(fit: Fit, site: Site): PartInstance[] {
  const own = units(fit);
  const named = (what: string, together: string, n: number) =>
    own.length === 1 ? { label: what } : { label: `${what} ${n}`, together };
  // What belongs to one cylinder only is told by the others.
  const cylinder = (n: number) => (own.length === 1 ? {} : { cylinder: n });
  const each = own.map((n): PartInstance[] => [
    {
      ...numbered('coil', n),
      ...named('Coil', 'Coils', n),
      station: 'coils',
      kind: PARTS.coil,
      nodes: { a: 'coil+', b: `coil-${n}-`, tower: `tower-${n}` },
      weight: 1 / own.length,
      // A coil with two ends fires one plug either way round.
      fails: ['primary-open', 'primary-shorted', 'secondary-open', 'insulation', 'wrong'].filter((id) =>
        PARTS.coil.faults.some((f) => f.id === id),
      ),
      ...cylinder(n),
    },
    {
      ...numbered('coil-minus', n),
      ...named('Wire from coil to points', 'Wires from coils to points', n),
      station: 'coil-minus',
      kind: PARTS.wire,
      nodes: { a: `coil-${n}-`, b: `points-${n}`, earth: 'block' },
      weight: 1 / own.length,
      ...cylinder(n),
    },
    {
      ...numbered('points', n),
      ...named('Points', 'Points, all', n),
      station: 'points',
      kind: PARTS.twinPoints,
      nodes: { a: `points-${n}`, b: 'block' },
      weight: 1 / own.length,
      ...cylinder(n),
    },
    {
      ...numbered('condenser', n),
      ...named('Condenser', 'Condensers', n),
      station: 'condenser',
      kind: PARTS.condenser,
      nodes: { a: `points-${n}`, b: 'block' },
      weight: 1 / own.length,
      ...cylinder(n),
    },
  ]);
  return [...supplyParts(fit, site), ...coilFeedParts(fit), ...each.flat(), ...endsOfSpark(fit)];
}

/** Small engines turn faster at the starter. rev/min */
const CRANKING_RPM = 250;

function driveOf(fit: Fit): Drive {
  const both = doubleEnded(fit);
  return {
    coil: (cylinder) => idOf('coil', unitOf(fit, cylinder)),
    path: (place: SparkPlace, cylinder: number) => [
      idOf('coil', unitOf(fit, cylinder)),
      // The other end's lead is in the same loop.
      ...(both ? [idOf('lead', 3 - cylinder)] : []),
      idOf('lead', cylinder),
      ...(place === 'plug' ? [idOf('plug', cylinder), 'plugs'] : []),
    ],
    // The other plug fires outside compression, in hot gas.
    ...(both
      ? {
          besides: (scene: Known, cylinder: number) =>
            requiredVolts(1, 500, figuresAt(scene.params, idOf('plug', 3 - cylinder)).gapMetres) * 0.6,
        }
      : {}),
    breaker: (scene, state, cylinder) => {
      const n = unitOf(fit, cylinder);
      const condenser = figuresAt(scene.params, idOf('condenser', n));
      const unhooked = state.unplugged?.includes(idOf('condenser', n)) ?? false;
      const clipped = state.clipped?.includes(idOf('condenser', n)) ? 0.22e-6 : 0;
      const condenserLeakOhms = unhooked ? 1e9 : leakAtWork(condenser.leakOhms);
      return {
        // A cam of its own on the camshaft, or at half the crank's speed.
        closedSeconds: closedSeconds(
          figuresAt(scene.params, idOf('points', n)).dwellDegrees,
          distributorRpm(scene, state),
        ),
        condenserFarads: (unhooked ? 0.2e-9 : condenser.farads) + clipped,
        condenserLeakOhms,
        leakOhms: parallel(condenserLeakOhms, arcOhms(figuresAt(scene.params, idOf('points', n)).gapMetres)),
      };
    },
  };
}

export const pointsCoils: TrailKind = {
  trail: 'spark',
  kind: 'points-coils',
  label: 'Battery and points, without a distributor',
  build: (fit, site) => {
    const names = units(fit).flatMap((n): [string, string][] => [
      [`coil-${n}-`, `the points terminal of coil ${n}`],
      [`points-${n}`, `the terminal at points ${n}`],
      [`tower-${n}`, `the lead of coil ${n}`],
    ]);
    return {
      id: 'spark',
      kind: 'points-coils',
      stations: stations(fit),
      parts: parts(fit, site),
      nodeNames: { ...supplyNames(fit), ...Object.fromEntries(names) },
      settle: settleSupply,
      offers: sparkOffers(coilSpark(driveOf(fit)), {
        ...supplyOffers(fit),
        ...(fit.crank ? {} : { crankingRpm: () => CRANKING_RPM }),
      }),
      firing: coilFiring(driveOf(fit)),
      sparkWay: (cylinder) => [idOf('coil', unitOf(fit, cylinder)), idOf('lead', cylinder), idOf('plug', cylinder)],
      onShare: (scene) => figuresAt(scene.params, idOf('points', 1)).dwellDegrees / 360,
    };
  },
};
