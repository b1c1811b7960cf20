import { meltingAmps, OPEN_OHMS, PARTS, type PartInstance } from '../parts/index.ts';
import type { FitOut } from '../schema/machine.ts';
import type { Known, Layout, LayoutKind, MachineParams, Station } from './layout.ts';
import { pointsSpark } from './pointsSpark.ts';
import { Scene } from './scene.ts';

function stations(fit: FitOut): Station[] {
  const all: (Station | false)[] = [
    { id: 'battery', label: 'Battery', picture: 'battery' },
    { id: 'terminals', label: 'Live clamp', picture: 'clamp', joint: true },
    { id: 'feed', label: 'Feed wire', picture: 'wire', joint: true },
    fit.fused && { id: 'fuse', label: 'Fuse', picture: 'fuse' },
    { id: 'switch', label: 'Switch', picture: 'switch' },
    { id: 'coil-feed', label: 'Wire to coil', picture: 'wire', joint: true },
    fit.ballast !== 'none' && { id: 'ballast', label: 'Ballast', picture: 'ballast' },
    { id: 'coil', label: 'Coil', picture: 'coil' },
    { id: 'coil-minus', label: 'Wire to points', picture: 'wire', joint: true },
    { id: 'points', label: 'Points', picture: 'points' },
    { id: 'condenser', label: 'Condenser', picture: 'condenser' },
    { id: 'body', label: 'Body earth', picture: 'earth', joint: true },
    { id: 'strap', label: 'Engine strap', picture: 'earth', joint: true },
    { id: 'coil-lead', label: 'Coil lead', picture: 'lead', joint: true },
    { id: 'cap', label: 'Cap', picture: 'cap' },
    { id: 'rotor', label: 'Rotor', picture: 'rotor' },
    { id: 'plug-leads', label: 'Plug leads', picture: 'lead', joint: true },
    { id: 'plugs', label: 'Plugs', picture: 'plug' },
  ];
  return all.filter((s): s is Station => s !== false);
}

function parts(fit: FitOut): PartInstance[] {
  const supply: (PartInstance | false)[] = [
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
      nodes: { a: 'main', b: 'fuse-in', earth: 'block' },
      fails: ['broken', 'corroded'],
    },
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
      id: 'coil-feed',
      label: 'Wire from switch to coil',
      station: 'coil-feed',
      kind: PARTS.wire,
      nodes: { a: 'switch-out', b: fit.ballast === 'none' ? 'coil+' : 'ballast-in', earth: 'block' },
      // Without a fuse a dead short burns the loom: it is seen and smelt, not traced.
      fails: fit.fused ? ['broken', 'corroded', 'chafed'] : ['broken', 'corroded'],
    },
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
    { id: 'coil', label: 'Coil', station: 'coil', kind: PARTS.coil, nodes: { a: 'coil+', b: 'coil-', tower: 'tower' } },
    {
      id: 'coil-minus',
      label: 'Wire from coil to points',
      station: 'coil-minus',
      kind: PARTS.wire,
      nodes: { a: 'coil-', b: 'points', earth: 'plate' },
    },
    { id: 'points', label: 'Points', station: 'points', kind: PARTS.points, nodes: { a: 'points', b: 'plate' } },
    {
      id: 'condenser',
      label: 'Condenser',
      station: 'condenser',
      kind: PARTS.condenser,
      nodes: { a: 'points', b: 'plate' },
    },
    {
      id: 'body',
      label: 'Distributor body earth',
      station: 'body',
      kind: PARTS.bodyEarth,
      nodes: { a: 'plate', b: 'block' },
    },
    {
      id: 'strap',
      label: 'Engine earth strap',
      station: 'strap',
      kind: PARTS.heavyJoint,
      nodes: { a: 'block', b: '0' },
    },
    { id: 'starter', label: 'Starter', station: 'battery', kind: PARTS.starter, nodes: { a: 'main', b: 'block' } },
    // The high-tension side stands apart in the low-voltage network: an ohmmeter meets its parts on the bench.
    {
      id: 'coil-lead',
      label: 'Coil lead',
      station: 'coil-lead',
      apart: true,
      kind: PARTS.htLead,
      nodes: { a: 'ht-a', b: 'ht-b' },
    },
    {
      id: 'cap',
      label: 'Distributor cap',
      station: 'cap',
      apart: true,
      kind: PARTS.distributorCap,
      nodes: { a: 'ht-cap' },
    },
    { id: 'rotor', label: 'Rotor arm', station: 'rotor', apart: true, kind: PARTS.rotor, nodes: {} },
    { id: 'plugs', label: 'Plugs', station: 'plugs', apart: true, kind: PARTS.plugSet, nodes: {} },
  ];
  const each = Array.from({ length: fit.cylinders }, (_, i): PartInstance[] => [
    {
      id: `lead-${i + 1}`,
      label: `Plug lead ${i + 1}`,
      station: 'plug-leads',
      apart: true,
      kind: PARTS.htLead,
      nodes: { a: `lead-${i + 1}:a`, b: `lead-${i + 1}:b` },
      cylinder: i + 1,
      weight: 2 / fit.cylinders,
    },
    {
      id: `plug-${i + 1}`,
      label: `Plug ${i + 1}`,
      station: 'plugs',
      apart: true,
      kind: PARTS.plug,
      nodes: { a: `plug-${i + 1}` },
      cylinder: i + 1,
      weight: 4 / fit.cylinders,
    },
  ]);
  return [...supply.filter((p): p is PartInstance => p !== false), ...each.flat()];
}

/** A short that draws more than the fuse stands has melted it the first time the key was on. */
function settle(layout: () => Layout, params: MachineParams): MachineParams {
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

function crankingShare(scene: Known): number {
  const at = scene.solve({ key: 'crank', points: 'closed' });
  return Math.abs(at.volts('main') - at.volts('block')) / scene.layout.fit.volts;
}

export const batteryPoints: LayoutKind = {
  kind: 'battery-points',
  label: 'Battery, coil and breaker points',
  build: (fit) => {
    const layout: Layout = {
      kind: 'battery-points',
      fit,
      stations: stations(fit),
      parts: parts(fit),
      nodeNames: {
        '0': 'the battery earth post',
        post: 'the live battery post',
        main: 'the live battery clamp',
        'fuse-in': fit.fused ? 'the feed side of the fuse' : 'the feed terminal of the switch',
        'switch-in': 'the far side of the fuse',
        'switch-out': 'the switch terminal that feeds the coil',
        'ballast-in': 'the feed side of the ballast',
        'coil+': fit.earth === 'negative' ? 'coil +' : 'the feed terminal of the coil (−)',
        'coil-': fit.earth === 'negative' ? 'coil −' : 'the points terminal of the coil (+)',
        points: 'the terminal at the points',
        plate: 'the points base plate',
        block: 'bare metal on the engine block',
      },
      settle: (params) => settle(() => layout, params),
      spark: pointsSpark,
      crankingShare,
    };
    return layout;
  },
};
