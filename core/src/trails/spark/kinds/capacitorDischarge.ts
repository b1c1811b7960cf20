import { figuresAt, hasFigures } from '../../../machine/figures.ts';
import { numbered } from '../../../machine/numbered.ts';
import { magnetOffers } from '../generated.ts';
import { sparkOffers } from '../offers.ts';
import { dischargeCircuit, type FiringPlan } from '../../../ignition/index.ts';
import { PARTS, type MachineState, type PartInstance } from '../parts/index.ts';
import type { Fit } from '../../../schema/fit.ts';
import { dischargeOf, dischargeSpark, FED_RPM, isFired } from '../dischargeSpark.ts';
import { crankshaftRpm } from '../generated.ts';
import type { Known } from '../../../machine/known.ts';
import type { TrailKind, Station } from '../../../machine/trail.ts';
import { askedVolts, ownCoilPath, plugOf, sparkPath, ownWay } from '../sparkPath.ts';
import { coilStations, endsOfSpark, FLYWHEEL, stopLine, triggerLine } from '../trailEnds.ts';

const into = (name: string) => ({ name, joins: 'pack' });

const STATIONS: readonly Station[] = [
  FLYWHEEL,
  { id: 'charge-coil', label: 'Charge coil', picture: 'winding' },
  { id: 'connector', label: 'Connector', picture: 'connector', joint: true },
  { id: 'pack', label: 'Power pack', picture: 'pack' },
  { id: 'coil-wires', label: 'Coil wires', picture: 'wire', joint: true },
  ...coilStations,
  { id: 'trigger', label: 'Trigger', picture: 'winding', lane: into('Trigger') },
  { id: 'trigger-connector', label: 'Connector', picture: 'connector', joint: true, lane: into('Trigger') },
  ...stopLine.stations.map((s) => ({ ...s, lane: into('Stop') })),
  { id: 'pack-earth', label: 'Pack earth', picture: 'earth', joint: true, lane: into('Earth') },
];

/** Wire and coil of each cylinder. */
export function dischargeCoils(fit: Fit): PartInstance[] {
  const each = Array.from({ length: fit.cylinders }, (_, i): PartInstance[] => [
    {
      ...numbered('coil-wire', i + 1),
      label: `Wire to coil ${i + 1}`,
      together: 'Wires to the coils',
      station: 'coil-wires',
      kind: PARTS.wire,
      nodes: { a: `out-${i + 1}`, b: `coil-${i + 1}` },
      fails: ['broken'],
      cylinder: i + 1,
      weight: 1 / fit.cylinders,
    },
    {
      ...numbered('coil', i + 1),
      label: `Coil ${i + 1}`,
      together: 'Coils',
      station: 'coils',
      kind: PARTS.dischargeCoil,
      nodes: { a: `coil-${i + 1}`, b: '0', tower: `tower-${i + 1}` },
      cylinder: i + 1,
      weight: 1.5 / fit.cylinders,
    },
  ]);
  return each.flat();
}

function parts(fit: Fit): PartInstance[] {
  const channels = Array.from({ length: fit.cylinders }, (_, i) => `channel-${i + 1}`);
  const fixed: PartInstance[] = [
    { id: 'flywheel', label: 'Flywheel', station: 'flywheel', kind: PARTS.flywheel, nodes: {}, apart: true },
    {
      id: 'charge-coil',
      label: 'Charge coil',
      station: 'charge-coil',
      kind: PARTS.chargeCoil,
      nodes: { a: 'chg', b: '0' },
    },
    {
      id: 'connector',
      label: 'Charge coil connector',
      station: 'connector',
      kind: PARTS.connector,
      nodes: { a: 'chg', b: 'pack-in' },
    },
    {
      id: 'pack',
      label: 'Power pack',
      station: 'pack',
      kind: PARTS.pack,
      nodes: {
        in: 'pack-in',
        trigger: 'trg-in',
        earth: 'pack-earth',
        ...Object.fromEntries(Array.from({ length: fit.cylinders }, (_, i) => [`out${i + 1}`, `out-${i + 1}`])),
      },
      // One output is the whole pack where there is one.
      fails: ['dead', 'leaky', ...(fit.cylinders > 1 ? channels : [])],
    },
    ...triggerLine('Trigger coil', 'Trigger connector', PARTS.triggerCoil),
    ...stopLine.parts(['pack-in']),
    {
      id: 'pack-earth',
      label: 'Earth of the pack',
      station: 'pack-earth',
      kind: PARTS.packEarth,
      nodes: { a: 'pack-earth', b: '0' },
    },
  ];
  return [...fixed, ...dischargeCoils(fit), ...endsOfSpark(fit)];
}

export function dischargeNames(fit: Fit): Record<string, string> {
  const each = Array.from({ length: fit.cylinders }, (_, i): [string, string][] => [
    [`out-${i + 1}`, `the pack’s wire to coil ${i + 1}`],
    [`coil-${i + 1}`, `the primary terminal of coil ${i + 1}`],
    [`tower-${i + 1}`, `the tower of coil ${i + 1}`],
  ]);
  return {
    '0': 'bare metal on the engine',
    chg: 'the charge coil’s wire, on the coil’s side of its connector',
    'pack-in': 'the charge coil’s wire, on the pack’s side of its connector',
    trg: 'the trigger’s wire, on the coil’s side of its connector',
    'trg-in': 'the trigger’s wire, on the pack’s side of its connector',
    'pack-earth': 'the pack’s case or black wire',
    ...stopLine.nodeNames,
    ...Object.fromEntries(each.flat()),
  };
}

/** How long a discharge is watched after the trigger, seconds. */
const WATCHED = 4e-3;

export function dischargeFiring(scene: Known, state: MachineState, cylinder: number, sparks: boolean): FiringPlan {
  const unit = dischargeOf(scene, state, cylinder);
  const path = sparkPath(scene, ownCoilPath('plug', cylinder), state);
  const plug = plugOf(path, askedVolts(scene, state, 'plug', cylinder) + path.gapVolts, unit.secondaryOhms);
  const rpm = hasFigures(scene.params, 'flywheel') ? crankshaftRpm(scene, state) : FED_RPM;
  const fired = isFired(scene, state, cylinder);
  // The first firing: a gap once struck strikes again at less, and one half swing fills the store.
  const { circuit, firstDump } = dischargeCircuit(sparks ? { ...unit, plug } : unit, rpm, fired);
  const until = firstDump + WATCHED;
  return {
    circuit,
    until,
    longest: until / 200,
    at: firstDump,
    traces: [
      { id: 'charge coil', node: 'gen' },
      { id: 'store', node: 'cap' },
      ...(fired
        ? ([
            { id: 'primary', node: 'coil' },
            { id: 'secondary', node: 'sec' },
          ] as const)
        : []),
    ],
  };
}

export const capacitorDischarge: TrailKind = {
  trail: 'spark',
  ground: 'engine',
  kind: 'capacitor-discharge',
  label: 'Capacitor discharge, fed by a charge coil',
  build: (fit) => ({
    id: 'spark',
    kind: 'capacitor-discharge',
    stations: STATIONS,
    parts: parts(fit),
    nodeNames: dischargeNames(fit),
    offers: sparkOffers(
      dischargeSpark,
      magnetOffers(fit, (scene) => figuresAt(scene.params, 'flywheel').slipDegrees),
    ),
    firing: dischargeFiring,
    sparkWay: ownWay,
  }),
};
