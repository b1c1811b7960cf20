import { figuresAt } from '../../../machine/figures.ts';
import { idOf, numbered } from '../../../machine/numbered.ts';
import { sparkOffers } from '../offers.ts';
import type { Site } from '../../../machine/site.ts';
import { firingPlan, type FiringPlan } from '../../../ignition/index.ts';
import { PARTS, type MachineState, type PartInstance } from '../parts/index.ts';
import type { Fit } from '../../../schema/fit.ts';
import { settleComputer } from '../electronicSettle.ts';
import { sparkOfCut } from '../coilSpark.ts';
import { shuntWithIron } from '../ironOhms.ts';
import type { Known } from '../../../machine/known.ts';
import type { TrailKind, Station } from '../../../machine/trail.ts';
import type { Spark, SparkPlace } from '../../../machine/observed.ts';
import { askedVolts, figuresOf, ownCoilPath, plugOf, sparkPath, windingOhms } from '../sparkPath.ts';
import { settleSupply, supplyOffers, supplyParts, supplyStations } from '../../shared/supply.ts';
import { coilFeedStations, feedParts, supplyNames } from '../coilFeed.ts';
import { endsOfSpark, triggerLine } from '../trailEnds.ts';

const into = (name: string) => ({ name, joins: 'coils' });

const stations = (fit: Fit): Station[] => [
  ...supplyStations(fit),
  ...coilFeedStations(fit, 'Wire to coils', false),
  { id: 'coils', label: 'Plug coils', picture: 'coil' },
  { id: 'plug-leads', label: 'Boots', picture: 'lead', joint: true },
  { id: 'plugs', label: 'Plugs', picture: 'plug' },
  { id: 'strap', label: 'Engine strap', picture: 'earth', joint: true, lane: into('Earth') },
  { id: 'trigger', label: 'Crank sensor', picture: 'winding', lane: into('Command') },
  { id: 'trigger-connector', label: 'Connector', picture: 'connector', joint: true, lane: into('Command') },
  { id: 'computer', label: 'Computer', picture: 'pack', lane: into('Command') },
  { id: 'command', label: 'Command wires', picture: 'wire', joint: true, lane: into('Command') },
];

function parts(fit: Fit, site: Site): PartInstance[] {
  const each = Array.from({ length: fit.cylinders }, (_, i): PartInstance[] => [
    {
      ...numbered('coil', i + 1),
      label: `Plug coil ${i + 1}`,
      together: 'Plug coils',
      station: 'coils',
      kind: PARTS.plugCoil,
      nodes: { a: 'coil+', b: 'block', command: `cmd-${i + 1}` },
      cylinder: i + 1,
      weight: 3 / fit.cylinders,
    },
    {
      ...numbered('command', i + 1),
      label: `Command wire of coil ${i + 1}`,
      together: 'Command wires',
      station: 'command',
      kind: PARTS.wire,
      nodes: { a: `ecu-${i + 1}`, b: `cmd-${i + 1}`, earth: 'block' },
      fails: ['broken'],
      cylinder: i + 1,
      weight: 2 / fit.cylinders,
    },
  ]);
  const ends = endsOfSpark(fit).map((p) =>
    p.oneOf?.what === 'lead' ? { ...p, label: p.label.replace('Plug lead', 'Boot') } : p,
  );
  return [
    ...supplyParts(fit, site),
    ...feedParts(fit, 'Wire from switch to coils', 'coil+'),
    ...triggerLine('Crank sensor', 'Crank sensor’s connector', PARTS.pickupCoil),
    {
      id: 'computer',
      label: 'Engine computer',
      station: 'computer',
      kind: PARTS.engineComputer,
      nodes: { in: 'trg-in', earth: 'block' },
    },
    ...each.flat(),
    ...ends,
  ];
}

/** The computer gives a fixed time at a low battery; the coil's own driver stops at this many amperes. */
const CHARGED_SECONDS = 4.5e-3;
const LIMIT_AMPS = 8;
const CLAMP_VOLTS = 420;
const COUPLING = 0.98;
const OPEN_FARADS = 5e-9;
const OFF_OHMS = 1e7;

/** Amperes that a plug coil has when it is let go: none when nothing tells it. */
function coilAmps(scene: Known, state: MachineState, cylinder: number) {
  const coil = figuresOf(scene, idOf('coil', cylinder), state);
  const told = figuresAt(scene.params, 'computer').untold < 0.5 && figuresAt(scene.params, 'computer').dead < 0.5;
  const wired = figuresAt(scene.params, idOf('command', cylinder)).ohms < 1e4;
  const still: MachineState = { ...state, points: 'open' };
  const at = scene.solve(still);
  const volts = Math.abs(at.volts('coil+') - at.volts('block'));
  const feedOhms = at.outputOhms('coil+', 'block');
  const loop = coil.primaryOhms + feedOhms;
  const built = (volts / loop) * (1 - Math.exp((-CHARGED_SECONDS * loop) / coil.henries));
  return { coil, volts, feedOhms, amps: told && wired ? Math.min(LIMIT_AMPS, built) : 0 };
}

function spark(scene: Known, place: SparkPlace, state: MachineState, cylinder: number, gapMetres?: number): Spark {
  const { coil, amps } = coilAmps(scene, state, cylinder);
  const path = sparkPath(scene, ownCoilPath(place, cylinder), state);
  return sparkOfCut(path, coil, amps, askedVolts(scene, state, place, cylinder, gapMetres), {
    condenserFarads: OPEN_FARADS,
    leakOhms: OFF_OHMS,
    clampVolts: CLAMP_VOLTS,
  });
}

function firing(scene: Known, state: MachineState, cylinder: number, sparks: boolean): FiringPlan {
  const { coil, volts, feedOhms, amps } = coilAmps(scene, state, cylinder);
  const path = sparkPath(scene, ownCoilPath('plug', cylinder), state);
  const required = askedVolts(scene, state, 'plug', cylinder) + path.gapVolts;
  return firingPlan({
    // A coil that is not told stays without current: its supply is then as good as off.
    supplyVolts: amps > 0 ? volts : 1e-3,
    feedOhms: Math.max(1e-4, feedOhms),
    primaryOhms: coil.primaryOhms,
    henries: coil.henries,
    turnsRatio: coil.turnsRatio,
    coupling: COUPLING,
    secondaryOhms: windingOhms(coil),
    secondaryFarads: coil.farads,
    shuntOhms: shuntWithIron(coil, OPEN_FARADS, path.shuntOhms),
    pointsOhms: 0.05,
    condenserFarads: OPEN_FARADS,
    condenserOhms: 0.3,
    condenserLeakOhms: OFF_OHMS,
    closedSeconds: CHARGED_SECONDS,
    clampVolts: CLAMP_VOLTS,
    ...(sparks ? { plug: plugOf(path, required, windingOhms(coil)) } : {}),
  });
}

export const coilOnPlug: TrailKind = {
  trail: 'spark',
  kind: 'coil-on-plug',
  label: 'A transistor coil on each plug',
  build: (fit, site) => {
    return {
      id: 'spark',
      kind: 'coil-on-plug',
      stations: stations(fit),
      parts: parts(fit, site),
      nodeNames: {
        ...supplyNames(fit),
        'switch-out': 'the switch terminal that feeds the coils',
        'coil+': 'the feed wire at a plug coil’s connector',
        trg: 'the crank sensor’s wire, on its own side of the connector',
        'trg-in': 'the crank sensor’s wire, at the computer',
        ...Object.fromEntries(
          Array.from({ length: fit.cylinders }, (_, i): [string, string][] => [
            [`ecu-${i + 1}`, `the computer’s terminal for coil ${i + 1}`],
            [`cmd-${i + 1}`, `the command wire at coil ${i + 1}`],
          ]).flat(),
        ),
      },
      settle: (found, params) => settleComputer(found, settleSupply(found, params)),
      offers: sparkOffers(spark, supplyOffers(fit)),
      firing,
      sparkWay: (cylinder) => [idOf('coil', cylinder), idOf('plug', cylinder)],
      onShare: () => 0.3,
    };
  },
};
