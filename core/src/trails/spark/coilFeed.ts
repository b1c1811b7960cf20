import type { Fit } from '../../schema/fit.ts';
import type { Station } from '../../machine/trail.ts';
import { addedAt, addedNames, addedParts, addedStations } from '../shared/added.ts';
import { PARTS, type PartInstance } from './parts/index.ts';

/** From the switch onward: the wire, what was added in it, a ballast where the coil has one. */
export const coilFeedStations = (fit: Fit, label = 'Wire to coil', ballasted = true): Station[] => [
  { id: 'coil-feed', label, picture: 'wire', joint: true },
  ...addedStations(fit, 'after the switch'),
  ...(ballasted && fit.ballast !== 'none' ? [{ id: 'ballast', label: 'Ballast', picture: 'ballast' }] : []),
];

/** The feed behind the switch, with all that stands in it. Ends at `to`, or at a ballast before it. */
export function feedParts(fit: Fit, label: string, to: string): PartInstance[] {
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
export function coilFeedParts(fit: Fit): PartInstance[] {
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

export const supplyNames = (fit: Fit): Record<string, string> => ({
  '0': 'the battery earth post',
  post: 'the live battery post',
  main: 'the live battery clamp',
  'fuse-in': fit.fused ? 'the feed side of the fuse' : 'the feed terminal of the switch',
  'switch-in': 'the far side of the fuse',
  'switch-out': 'the switch terminal that feeds the coil',
  'ballast-in': 'the feed side of the ballast',
  'coil+': fit.earth === 'negative' ? 'coil +' : 'the feed terminal of the coil, marked −',
  block: 'bare metal on the engine block',
  ...addedNames(fit),
});
