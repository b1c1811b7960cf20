import { figuresIfAny, withFigures } from '../../machine/figures.ts';
import { logistic } from '../../random/lcg.ts';
import type { Offers } from '../../machine/observed.ts';
import type { Site } from '../../machine/site.ts';
import { OPEN_OHMS, type PartInstance } from '../../machine/part.ts';
import { meltingAmps, SHARED_PARTS as PARTS } from './parts/index.ts';
import type { Fit } from '../../schema/fit.ts';
import { jointsPart, settleJoints } from './weathered.ts';
import { addedAt, addedParts, addedStations } from './added.ts';
import type { AsFound, MachineParams } from '../../machine/known.ts';
import type { Station } from '../../machine/trail.ts';

export const ISOLATOR = 'isolator';
const isolated = ({ crank }: Fit): boolean => crank?.isolator === true;
/** How the ends of the live clamp, and what all is fed from, are called. */
export const liveNames = (fit: Fit): Readonly<Record<string, string>> =>
  isolated(fit)
    ? { post: 'the live battery post', clamp: 'the live battery clamp', main: 'the machine’s side of the isolator' }
    : { post: 'the live battery post', main: 'the live battery clamp' };
/** Where the master switch of a machine that has one stands. */
export const isolatorStation = (fit: Fit): Station[] =>
  isolated(fit) ? [{ id: ISOLATOR, label: 'Isolator', picture: 'switch' }] : [];

/** From the battery to what it feeds: what every battery ignition shares. */
export const supplyStations = (fit: Fit): Station[] => {
  const all: (Station | false)[] = [
    { id: 'battery', label: 'Battery', picture: 'battery' },
    { id: 'terminals', label: 'Live clamp', picture: 'clamp', joint: true },
    ...isolatorStation(fit),
    { id: 'feed', label: 'Feed wire', picture: 'wire', joint: true },
    ...addedStations(fit, 'before the switch'),
    fit.fused && { id: 'fuse', label: 'Fuse', picture: 'fuse' },
    { id: 'switch', label: 'Switch', picture: 'switch' },
  ];
  return all.filter((s): s is Station => s !== false);
};
/** Ways of failing that nobody could tell without the starter or the charging are left out where these are not told. */
const batteryFails = ({ crank, charge }: Fit) =>
  charge ? {} : { fails: crank ? ['flat', 'tired', 'cell'] : ['flat', 'tired'] };

/** The battery with its live clamp: nodes `post`, `main`. */
export const batteryParts = (site: Site): readonly PartInstance[] =>
  site.take('battery', () => [
    {
      id: 'battery',
      label: 'Battery',
      station: 'battery',
      kind: PARTS.battery,
      nodes: { a: 'post', b: site.earthPost },
      ...batteryFails(site.fit),
    },
    {
      id: 'live-clamp',
      label: 'Live battery clamp',
      station: 'terminals',
      kind: PARTS.heavyJoint,
      nodes: { a: 'post', b: isolated(site.fit) ? 'clamp' : 'main' },
    },
    ...(isolated(site.fit)
      ? [
          {
            id: ISOLATOR,
            label: 'Battery isolator',
            station: ISOLATOR,
            kind: PARTS.isolator,
            nodes: { a: 'clamp', b: 'main' },
          },
        ]
      : []),
  ]);
export const strapParts = (site: Site): readonly PartInstance[] =>
  site.take('strap', () => [
    {
      id: 'strap',
      label: 'Engine earth strap',
      station: 'strap',
      kind: PARTS.heavyJoint,
      nodes: { a: site.block, b: site.earthPost },
    },
  ]);

/** Battery to switch, engine strap and what stands for a starter that nobody has told. Ends at node `switch-out`. */
export function supplyParts(fit: Fit, site: Site): PartInstance[] {
  // The switch is this trail's own: others find it in place.
  site.take('switch', () => []);
  const all: (PartInstance | false)[] = [
    ...batteryParts(site),
    {
      id: 'feed',
      label: 'Feed wire',
      station: 'feed',
      kind: PARTS.wire,
      nodes: { a: 'main', b: addedAt(fit, 'before the switch', 'fuse-in'), earth: 'block' },
      fails: ['broken', 'corroded'],
    },
    ...addedParts(fit, 'before the switch', 'fuse-in'),
    fit.fused && {
      id: 'fuse',
      label: 'Fuse',
      station: 'fuse',
      kind: PARTS.fuse,
      nodes: { a: 'fuse-in', b: 'switch-in' },
    },
    {
      id: 'switch',
      label: 'Ignition switch',
      station: 'switch',
      kind: PARTS.ignitionSwitch,
      nodes: { a: fit.fused ? 'switch-in' : 'fuse-in', b: 'switch-out' },
    },
    {
      id: 'warning-lamp',
      label: 'Warning lamp',
      station: 'switch',
      kind: PARTS.warningLamp,
      nodes: { a: 'switch-out', b: 'block' },
    },
    jointsPart,
    ...strapParts(site),
    !fit.crank && {
      id: 'starter',
      label: 'Starter',
      station: 'battery',
      kind: PARTS.starter,
      nodes: { a: 'main', b: 'block' },
    },
  ];
  return all.filter((p): p is PartInstance => p !== false);
}

/** Weathered joints; and a short that draws more than the fuse stands has melted it the first time the key was on. */
export function settleSupply(found: AsFound, given: MachineParams): MachineParams {
  const params = settleJoints(given);
  const own = figuresIfAny(params, 'fuse');
  if (!own || own.ohms >= OPEN_OHMS) return params;
  const shorted = Object.values(params).some((p) => (p.earthOhms ?? OPEN_OHMS) < 2 || (p.leakOhms ?? OPEN_OHMS) < 2);
  if (!shorted) return params;
  const amps = Math.abs(found(params).solve({ key: 'on', points: 'closed' }).amps('fuse'));
  return amps > meltingAmps(own.ratedAmps) ? withFigures(params, 'fuse', { ...own, ohms: OPEN_OHMS }) : params;
}

/** Below this share of the nominal voltage a starter does not turn the engine fast enough to speak of "cranks". */
const CRANKS_FROM = 0.58;

/** What a supply tells of cranking while nobody has told the starter: whether the volts are there to turn it. */
export const supplyOffers = (fit: Fit): Offers =>
  fit.crank
    ? {}
    : {
        turns: (scene) => {
          const at = scene.solve({ key: 'crank', points: 'closed' });
          const share = Math.abs(at.volts('main') - at.volts('block')) / fit.volts;
          return logistic((share - CRANKS_FROM) / 0.03);
        },
      };
