import { numbered } from '../../machine/numbered.ts';
import { PARTS, type PartInstance, type PartKind } from './parts/index.ts';
import type { Fit } from '../../schema/fit.ts';
import type { Station } from '../../machine/trail.ts';

/** Pieces of trail that several kinds share. */
export const FLYWHEEL: Station = { id: 'flywheel', label: 'Flywheel', picture: 'flywheel' };

/** From a coil of the cylinder's own to its plug. */
export const coilStations: readonly Station[] = [
  { id: 'coils', label: 'Coils', picture: 'coil' },
  { id: 'plug-leads', label: 'Plug leads', picture: 'lead', joint: true },
  { id: 'plugs', label: 'Plugs', picture: 'plug' },
];

/** Leads and plugs of every cylinder, and what befalls all plugs at once. */
export function endsOfSpark(fit: Fit): PartInstance[] {
  const each = Array.from({ length: fit.cylinders }, (_, i): PartInstance[] => [
    {
      ...numbered('lead', i + 1),
      label: `Plug lead ${i + 1}`,
      together: 'Plug leads',
      station: 'plug-leads',
      apart: true,
      kind: PARTS.htLead,
      nodes: { a: `lead-${i + 1}:a`, b: `lead-${i + 1}:b` },
      cylinder: i + 1,
      weight: 2 / fit.cylinders,
    },
    {
      ...numbered('plug', i + 1),
      label: `Plug ${i + 1}`,
      together: 'Plugs',
      station: 'plugs',
      apart: true,
      kind: PARTS.plug,
      nodes: { a: `plug-${i + 1}` },
      cylinder: i + 1,
      weight: 4 / fit.cylinders,
    },
  ]);
  const all: PartInstance = {
    id: 'plugs',
    label: 'Plugs',
    station: 'plugs',
    apart: true,
    kind: PARTS.plugSet,
    nodes: {},
    // One plug is not a set, but it may be of the wrong kind.
    ...(fit.cylinders === 1 ? { fails: ['resistive', 'hot', 'cold'] } : {}),
  };
  return [all, ...each.flat()];
}

/** A coil that a magnet passes, and its connector to what it tells: nodes `trg` and `trg-in`. */
export const triggerLine = (label: string, connectorLabel: string, kind: PartKind): PartInstance[] => [
  { id: 'trigger', label, station: 'trigger', kind, nodes: { a: 'trg', b: '0' } },
  {
    id: 'trigger-connector',
    label: connectorLabel,
    station: 'trigger-connector',
    kind: PARTS.connector,
    nodes: { a: 'trg', b: 'trg-in' },
  },
];

/** Wire and switch that earth what they are tied to, to stop the engine; one wire for each place. */
export const stopLine = {
  stations: [
    { id: 'stop-wire', label: 'Stop wire', picture: 'wire', joint: true },
    { id: 'stop-switch', label: 'Stop switch', picture: 'stop' },
  ] as readonly Station[],
  parts: (tiedTo: readonly string[]): PartInstance[] => [
    ...tiedTo.map((node, i): PartInstance => ({
      ...numbered('stop-wire', i + 1),
      label: tiedTo.length > 1 ? `Stop wire of cylinder ${i + 1}` : 'Stop wire',
      station: 'stop-wire',
      ...(i > 0 ? { like: 'stop-wire-1' } : {}),
      kind: PARTS.wire,
      nodes: { a: node, b: `stop-${i + 1}` },
      fails: ['chafed', 'broken'],
      weight: 2.5 / tiedTo.length,
    })),
    {
      id: 'stop-switch',
      label: 'Stop switch and tether',
      station: 'stop-switch',
      kind: PARTS.stopSwitch,
      nodes: { ...Object.fromEntries(tiedTo.map((_, i) => [`a${i + 1}`, `stop-${i + 1}`])), b: '0' },
    },
  ],
  nodeNames: Object.fromEntries(
    Array.from({ length: 8 }, (_, i) => [`stop-${i + 1}`, 'the stop wire, at its connector']),
  ) as Readonly<Record<string, string>>,
};
