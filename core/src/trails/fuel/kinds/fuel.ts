import { numbered } from '../../../machine/numbered.ts';
import type { PartInstance } from '../../../machine/part.ts';
import type { Station, TrailKind } from '../../../machine/trail.ts';
import type { Fit } from '../../../schema/fit.ts';
import { BULB, CARBURETTOR as C, LINE, PUMP, TANK, TAP, VENT } from '../ids.ts';
import { tankSlowly } from '../feeding.ts';
import { carburettorsOf } from '../apart.ts';
import { offersOf, settleFuel } from '../mixing.ts';
import { FUEL_PARTS as PARTS } from '../parts/index.ts';

type Kind = NonNullable<Fit['fuel']>['kind'];

const pumped = (kind: Kind) => kind !== 'gravity';
const PUMPS = {
  mechanical: PARTS.mechanicalPump,
  electric: PARTS.electricPump,
  pulse: PARTS.pulsePump,
  bulb: PARTS.pulsePump,
};
const breathing = { name: 'Breathing', joins: TANK } as const;
const cold = { name: 'Cold start', joins: 'fuel-jets' } as const;
const several = (fit: Fit) => carburettorsOf(fit) > 1;
/** Each of several carburettors by itself, beside what all of them share. */
const each = (fit: Fit): PartInstance[] =>
  several(fit)
    ? Array.from({ length: carburettorsOf(fit) }, (_, k) => ({
        ...numbered('carburettor', k + 1),
        label: `Carburettor ${k + 1}`,
        together: 'Carburettors',
        station: 'fuel-jets',
        kind: PARTS.ownCarburettor,
        nodes: {},
        apart: true,
        weight: 1 / carburettorsOf(fit),
        ...(fit.fuel?.enriching === 'enricher'
          ? {}
          : { fails: PARTS.ownCarburettor.faults.flatMap((f) => (f.id === 'enriched' ? [] : [f.id])) }),
      }))
    : [];

const stations = (kind: Kind, fit: Fit): Station[] => [
  { id: TANK, label: 'Tank', picture: 'tank' },
  ...(kind === 'gravity' ? [{ id: TAP, label: 'Tap and strainer', picture: 'tap' }] : []),
  { id: LINE, label: 'Fuel hose', picture: 'hose' },
  ...(kind === 'bulb' ? [{ id: BULB, label: 'Primer bulb', picture: 'bulb' }] : []),
  { id: 'fuel-filter', label: 'Filter', picture: 'filter' },
  ...(pumped(kind) ? [{ id: PUMP, label: 'Fuel pump', picture: 'pump' }] : []),
  { id: C.needle, label: several(fit) ? 'Needles and floats' : 'Needle and float', picture: 'float' },
  { id: 'fuel-jets', label: 'Jets', picture: 'jet' },
  ...(fit.fuel?.accelerator ? [{ id: C.accelerator, label: 'Accelerator pump', picture: 'pump' }] : []),
  {
    id: VENT,
    label: fit.fuel?.sealed ? 'Vapour line' : 'Vent in the cap',
    picture: 'cap',
    lane: breathing,
  },
  { id: C.choke, label: fit.fuel?.enriching === 'enricher' ? 'Enricher' : 'Choke', picture: 'choke', lane: cold },
];

function parts(kind: Kind, fit: Fit): PartInstance[] {
  const part = (
    id: string,
    label: string,
    station: string,
    of: PartInstance['kind'],
    more: Partial<PartInstance> = {},
  ) => ({
    id,
    label,
    station,
    kind: of,
    nodes: {},
    apart: true,
    ...more,
  });
  return [
    part(TANK, 'Tank', TANK, PARTS.tank, fit.fuel?.mixed ? {} : { fails: ['empty', 'stale', 'watered'] }),
    fit.fuel?.sealed ? part(VENT, 'Vapour line', VENT, PARTS.vapourLine) : part(VENT, 'Tank vent', VENT, PARTS.vent),
    ...(pumped(kind) ? [part('fuel-strainer', 'Strainer in the tank', TANK, PARTS.strainer)] : []),
    ...(kind === 'gravity'
      ? [
          fit.fuel?.vacuumTap
            ? part(TAP, 'Vacuum fuel tap', TAP, PARTS.vacuumTap)
            : part(TAP, 'Fuel tap', TAP, PARTS.tap),
        ]
      : []),
    // What falls by its own weight drips where a hose is split; it does not suck.
    part(LINE, 'Fuel hose', LINE, PARTS.line, pumped(kind) ? {} : { fails: ['blocked'] }),
    ...(kind === 'bulb' ? [part(BULB, 'Primer bulb', BULB, PARTS.bulb)] : []),
    part('fuel-filter', 'Fuel filter', 'fuel-filter', PARTS.filter),
    // What a bulb fills by hand does not have to stay full.
    ...(kind === 'gravity'
      ? []
      : [part(PUMP, 'Fuel pump', PUMP, PUMPS[kind], kind === 'bulb' ? { fails: ['stiff', 'hose'] } : {})]),
    part(C.needle, several(fit) ? 'Needles and seats' : 'Needle and seat', C.needle, PARTS.needle),
    part(C.float, several(fit) ? 'Floats' : 'Float', C.needle, PARTS.float),
    part(C.idleJet, several(fit) ? 'Idle jets' : 'Idle jet', 'fuel-jets', PARTS.idleJet),
    ...(fit.fuel?.idleCutOff
      ? [part(C.idleCutOff, several(fit) ? 'Idle cut-offs' : 'Idle cut-off', 'fuel-jets', PARTS.idleCutOff)]
      : []),
    part(C.mainJet, several(fit) ? 'Main jets' : 'Main jet', 'fuel-jets', PARTS.mainJet),
    ...(fit.fuel?.accelerator ? [part(C.accelerator, 'Accelerator pump', C.accelerator, PARTS.accelerator)] : []),
    part(C.bowlVent, several(fit) ? 'Bowl vents' : 'Bowl vent', C.needle, PARTS.bowlVent),
    part(C.choke, fit.fuel?.enriching === 'enricher' ? 'Enricher' : 'Choke', C.choke, PARTS.choke),
    ...each(fit),
  ];
}

const kind = (name: Kind, label: string): TrailKind => ({
  trail: 'fuel',
  kind: name,
  label,
  build: (fit) => ({
    id: 'fuel',
    kind: name,
    stations: stations(name, fit),
    parts: parts(name, fit),
    nodeNames: {},
    offers: offersOf(fit),
    settle: (_found, params) => settleFuel(fit, params),
    slowly: tankSlowly,
  }),
});

export const gravity = kind('gravity', 'Tank above the carburettor');
export const mechanical = kind('mechanical', 'Mechanical pump');
export const electric = kind('electric', 'Electric pump');
export const pulse = kind('pulse', 'Pulse pump on the crankcase');
export const bulbKind = kind('bulb', 'Separate tank, with a primer bulb');
