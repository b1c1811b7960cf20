import { idOf } from '../../../machine/numbered.ts';
import type { PartInstance } from '../../../machine/part.ts';
import type { Station, Trail, TrailKind } from '../../../machine/trail.ts';
import type { Site } from '../../../machine/site.ts';
import type { Fit } from '../../../schema/fit.ts';
import { batteryParts, isolatorStation, liveNames, strapParts } from '../../shared/supply.ts';
import { crankOffers, settleStarter } from '../cranking.ts';
import { DRIVE, ENGINE, MOTOR, RELAY, SOLENOID } from '../ids.ts';
import { decompressing, decompressorParts, decompressorStations } from '../decompressing.ts';
import { HEAT_NODE, heatingOffers, PREHEAT_FEED, PREHEATING } from '../heating.ts';
import { CRANK_PARTS as PARTS } from '../parts/index.ts';

type Kind = 'direct' | 'relay' | 'glow';
const control = { name: 'Start circuit', joins: 'solenoid' } as const;
const preheat = { name: 'Preheating', joins: 'solenoid' } as const;

const interlockId = (n: number) => idOf('interlock', n + 1);

const stations = (kind: Kind, fit: Fit): Station[] => [
  { id: 'battery', label: 'Battery', picture: 'battery' },
  { id: 'terminals', label: 'Live clamp', picture: 'clamp', joint: true },
  ...isolatorStation(fit),
  { id: 'starter-cable', label: 'Starter cable', picture: 'wire', joint: true },
  { id: 'solenoid', label: 'Solenoid', picture: 'relay' },
  { id: 'starter', label: 'Starter', picture: 'disc' },
  { id: 'drive', label: 'Drive and ring', picture: 'gear' },
  { id: 'engine', label: 'Engine', picture: 'flywheel' },
  ...decompressorStations(fit),
  { id: 'strap', label: 'Engine strap', picture: 'earth', joint: true },
  ...(kind === 'glow'
    ? [{ id: 'shared-feed', label: 'Shared feed', picture: 'wire', joint: true, lane: control }]
    : []),
  { id: 'start-switch', label: 'Start switch', picture: 'switch', lane: control },
  ...(fit.crank?.interlocks ?? []).map((label, n) => ({ id: interlockId(n), label, picture: 'switch', lane: control })),
  { id: 'start-wire', label: 'Start wire', picture: 'wire', joint: true, lane: control },
  ...(kind === 'relay' ? [{ id: 'start-relay', label: 'Start relay', picture: 'relay', lane: control }] : []),
  ...(kind === 'glow' ? [{ id: PREHEATING, label: 'Preheating', picture: 'ballast', lane: preheat }] : []),
];

function parts(kind: Kind, fit: Fit, site: Site): PartInstance[] {
  const locks = fit.crank?.interlocks ?? [];
  const fed = kind === 'glow' ? 'start-in' : 'main';
  const told = kind === 'relay' ? 'relay-s' : 'sol-s';
  const { block } = site;
  const all: (PartInstance | false)[] = [
    ...batteryParts(site),
    {
      id: 'starter-cable',
      label: 'Starter cable',
      station: 'starter-cable',
      kind: PARTS.starterCable,
      nodes: { a: 'main', b: 'sol-batt' },
    },
    {
      id: SOLENOID,
      label: 'Starter solenoid',
      station: 'solenoid',
      kind: PARTS.solenoid,
      nodes: { a: 'sol-batt', b: 'motor', s: 'sol-s', earth: block },
    },
    { id: MOTOR, label: 'Starter', station: 'starter', kind: PARTS.starterMotor, nodes: { a: 'motor', b: block } },
    { id: DRIVE, label: 'Starter’s drive', station: 'drive', kind: PARTS.starterDrive, nodes: {}, apart: true },
    {
      id: ENGINE,
      label: 'Engine',
      station: 'engine',
      kind: PARTS.crankedEngine,
      nodes: {},
      apart: true,
      // What floats takes in more water.
      weight: fit.marine ? 1.6 : 1,
    },
    ...decompressorParts(fit),
    ...strapParts(site),
    kind === 'glow' && {
      id: 'shared-feed',
      label: 'Shared feed',
      station: 'shared-feed',
      kind: PARTS.sharedFeed,
      nodes: { a: 'main', b: 'start-in' },
    },
    kind === 'glow' && {
      id: PREHEAT_FEED,
      label: 'Preheat relay',
      station: PREHEATING,
      kind: PARTS.heatFeed,
      nodes: { a: 'start-in', b: HEAT_NODE },
    },
    kind === 'glow' && {
      id: PREHEATING,
      label: fit.crank?.heat === 'intake heater' ? 'Intake heater' : 'Glow plugs',
      station: PREHEATING,
      kind: PARTS.heat,
      nodes: { a: HEAT_NODE, b: block },
      // One heater is whole or dead, and one plug likewise.
      ...(fit.crank?.heat === 'intake heater' || fit.cylinders < 2 ? { fails: ['dead'] } : {}),
    },
    {
      id: 'start-switch',
      label: 'Start switch',
      station: 'start-switch',
      kind: PARTS.startSwitch,
      nodes: { a: fed, b: locks.length ? interlockId(0) : 'start-out' },
    },
    ...locks.map((label, n) => ({
      id: interlockId(n),
      label: `Interlock: ${label}`,
      station: interlockId(n),
      kind: PARTS.startInterlock,
      nodes: { a: interlockId(n), b: n + 1 < locks.length ? interlockId(n + 1) : 'start-out' },
    })),
    {
      id: 'start-wire',
      label: 'Start wire',
      station: 'start-wire',
      kind: PARTS.startWire,
      nodes: { a: 'start-out', b: told },
    },
    {
      id: 'load-tester',
      label: 'Load tester',
      station: 'battery',
      kind: PARTS.loadTester,
      nodes: { a: 'post', b: site.earthPost },
    },
    {
      id: 'start-jump',
      label: 'Jumper lead',
      station: 'start-switch',
      kind: PARTS.startJump,
      nodes: { a: 'main', b: 'sol-s' },
    },
    kind === 'relay' && {
      id: RELAY,
      label: 'Start relay',
      station: 'start-relay',
      kind: PARTS.startRelay,
      nodes: { a: 'main', b: 'sol-s', s: 'relay-s', earth: block },
    },
  ];
  return all.filter((p): p is PartInstance => p !== false);
}

const build = (kind: Kind, fit: Fit, site: Site): Trail => ({
  id: 'crank',
  kind,
  stations: stations(kind, fit),
  parts: parts(kind, fit, site),
  nodeNames: {
    [site.earthPost]: 'the battery earth post',
    [site.block]: 'bare metal on the engine',
    ...liveNames(fit),
    'sol-batt': 'the battery stud of the solenoid',
    motor: 'the motor stud of the solenoid',
    'sol-s': 'the small terminal of the solenoid',
    'start-in': 'the feed terminal of the start switch',
    'start-out': 'the far end of the start switches',
    [HEAT_NODE]: fit.crank?.heat === 'intake heater' ? 'the heater’s terminal' : 'the rail of the glow plugs',
    'relay-s': 'the coil terminal of the start relay',
    ...Object.fromEntries((fit.crank?.interlocks ?? []).map((l, n) => [interlockId(n), `the near side of: ${l}`])),
  },
  settle: (_found, params) => settleStarter(params),
  offers: { ...(kind === 'glow' ? { ...crankOffers, ...heatingOffers } : crankOffers), ...decompressing(fit) },
});

const kind = (name: Kind, label: string): TrailKind => ({
  trail: 'crank',
  kind: name,
  label,
  build: (fit, site) => build(name, fit, site),
});

export const direct = kind('direct', 'Starter with its own solenoid, worked by the key');
export const relay = kind('relay', 'Starter through a relay or a bulkhead solenoid');
export const glow = kind('glow', 'Starter with preheating on a shared feed');
