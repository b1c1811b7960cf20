import { meltingAmps, OPEN_OHMS, PARTS, type PartInstance } from '../parts/index.ts';
import type { FitOut } from '../schema/machine.ts';
import { addedAt, addedNames, addedParts, addedStations } from './added.ts';
import type { Known, Layout, MachineParams, Station } from './layout.ts';
import { Scene } from './scene.ts';

/** From the battery to what it feeds: what every battery ignition shares. */
export const supplyStations = (fit: FitOut): Station[] => {
  const all: (Station | false)[] = [
    { id: 'battery', label: 'Battery', picture: 'battery' },
    { id: 'terminals', label: 'Live clamp', picture: 'clamp', joint: true },
    { id: 'feed', label: 'Feed wire', picture: 'wire', joint: true },
    ...addedStations(fit, 'before the switch'),
    fit.fused && { id: 'fuse', label: 'Fuse', picture: 'fuse' },
    { id: 'switch', label: 'Switch', picture: 'switch' },
  ];
  return all.filter((s): s is Station => s !== false);
};
/** From the switch onward: the wire, what was added in it, a ballast where the coil has one. */
export const coilFeedStations = (fit: FitOut, label = 'Wire to coil', ballasted = true): Station[] => [
  { id: 'coil-feed', label, picture: 'wire', joint: true },
  ...addedStations(fit, 'after the switch'),
  ...(ballasted && fit.ballast !== 'none' ? [{ id: 'ballast', label: 'Ballast', picture: 'ballast' }] : []),
];

/** Battery to switch, engine strap and starter. Ends at node `switch-out`. */
export function supplyParts(fit: FitOut): PartInstance[] {
  const all: (PartInstance | false)[] = [
    { id: 'battery', label: 'Battery', station: 'battery', kind: PARTS.battery, nodes: { a: 'post', b: '0' } },
    {
      id: 'live-clamp',
      label: 'Live battery clamp',
      station: 'terminals',
      kind: PARTS.heavyJoint,
      nodes: { a: 'post', b: 'main' },
    },
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
    {
      id: 'strap',
      label: 'Engine earth strap',
      station: 'strap',
      kind: PARTS.heavyJoint,
      nodes: { a: 'block', b: '0' },
    },
    { id: 'starter', label: 'Starter', station: 'battery', kind: PARTS.starter, nodes: { a: 'main', b: 'block' } },
  ];
  return all.filter((p): p is PartInstance => p !== false);
}

/** The feed behind the switch, with all that stands in it. Ends at `to`, or at a ballast before it. */
export function feedParts(fit: FitOut, label: string, to: string): PartInstance[] {
  return [
    {
      id: 'coil-feed',
      label,
      station: 'coil-feed',
      kind: PARTS.wire,
      nodes: { a: 'switch-out', b: addedAt(fit, 'after the switch', to), earth: 'block' },
      // Without a fuse a dead short burns the loom: it is seen and smelt, not traced.
      fails: fit.fused ? ['broken', 'corroded', 'chafed'] : ['broken', 'corroded'],
    },
    ...addedParts(fit, 'after the switch', to),
    ...(fit.suppressor && fit.fused
      ? [
          {
            id: 'suppressor',
            label: 'Suppression capacitor',
            station: 'coil-feed',
            kind: PARTS.suppressor,
            nodes: { a: to, b: 'block' },
          },
        ]
      : []),
  ];
}

/** From the switch to the coil. Ends at node `coil+`. */
export function coilFeedParts(fit: FitOut): PartInstance[] {
  const all: (PartInstance | false)[] = [
    ...feedParts(fit, 'Wire from switch to coil', fit.ballast === 'none' ? 'coil+' : 'ballast-in'),
    fit.ballast !== 'none' && {
      id: 'ballast',
      label: 'Ballast resistor',
      station: 'ballast',
      kind: PARTS.ballast,
      nodes: { a: 'ballast-in', b: 'coil+' },
    },
    fit.ballast === 'bypassed' && {
      id: 'bypass',
      label: 'Cranking bypass',
      station: 'ballast',
      kind: PARTS.crankingBypass,
      nodes: { a: 'main', b: 'coil+' },
    },
  ];
  return all.filter((p): p is PartInstance => p !== false);
}

export const supplyNames = (fit: FitOut): Record<string, string> => ({
  '0': 'the battery earth post',
  post: 'the live battery post',
  main: 'the live battery clamp',
  'fuse-in': fit.fused ? 'the feed side of the fuse' : 'the feed terminal of the switch',
  'switch-in': 'the far side of the fuse',
  'switch-out': 'the switch terminal that feeds the coil',
  'ballast-in': 'the feed side of the ballast',
  'coil+': fit.earth === 'negative' ? 'coil +' : 'the feed terminal of the coil (−)',
  block: 'bare metal on the engine block',
  ...addedNames(fit),
});

/** A short that draws more than the fuse stands has melted it the first time the key was on. */
export function settleFuse(layout: () => Layout, params: MachineParams): MachineParams {
  const own = params['fuse'];
  if (!own || own['ohms']! >= OPEN_OHMS) return params;
  const shorted = Object.values(params).some(
    (p) => (p['earthOhms'] ?? OPEN_OHMS) < 2 || (p['leakOhms'] ?? OPEN_OHMS) < 2,
  );
  if (!shorted) return params;
  const asFound = new Scene({ ...layout(), settle: (p) => p }, params);
  const amps = Math.abs(asFound.solve({ key: 'on', points: 'closed' }).amps('fuse'));
  return amps > meltingAmps(own['ratedAmps']!) ? { ...params, fuse: { ...own, ohms: OPEN_OHMS } } : params;
}

export function crankingShare(scene: Known): number {
  const at = scene.solve({ key: 'crank', points: 'closed' });
  return Math.abs(at.volts('main') - at.volts('block')) / scene.layout.fit.volts;
}
