import { figuresAt } from '../../../machine/figures.ts';
import { sparkOffers } from '../offers.ts';
import type { Site } from '../../../machine/site.ts';
import { closedSeconds } from '../../../ignition/index.ts';
import { addedAt, addedParts, addedStations } from '../../shared/added.ts';
import { PARTS, type PartInstance } from '../parts/index.ts';
import type { Fit } from '../../../schema/fit.ts';
import { coilFiring, coilSpark, distributorRpm, type Breaker } from '../coilSpark.ts';
import {
  DISTRIBUTOR_STATIONS,
  distributorOffers,
  distributorParts,
  settleShaft,
  distributorWay,
} from '../distributor.ts';
import { revCounterPart } from '../revCounterPart.ts';
import { settleModule } from '../electronicSettle.ts';
import type { Station, Trail, TrailKind } from '../../../machine/trail.ts';
import { settleWorn } from '../wornSet.ts';
import { settleSupply, supplyOffers, supplyParts, supplyStations } from '../../shared/supply.ts';
import { coilFeedParts, coilFeedStations, supplyNames } from '../coilFeed.ts';
import { triggerLine } from '../trailEnds.ts';

const into = (name: string) => ({ name, joins: 'module' });

function triggerStations(fit: Fit): Station[] {
  const lane = into('Trigger');
  const magnetic = (fit.trigger ?? 'magnetic') === 'magnetic';
  return [
    { id: 'trigger', label: magnetic ? 'Pick-up' : 'Sensor', picture: magnetic ? 'winding' : 'sensor', lane },
    magnetic
      ? { id: 'trigger-connector', label: 'Connector', picture: 'connector', joint: true, lane }
      : { id: 'sensor-wires', label: 'Sensor wires', picture: 'wire', joint: true, lane },
    ...(fit.module === 'commanded' ? [{ id: 'computer', label: 'Computer', picture: 'pack', lane }] : []),
  ];
}

const stations = (fit: Fit): Station[] => [
  ...supplyStations(fit),
  ...coilFeedStations(fit),
  { id: 'coil', label: 'Coil', picture: 'coil' },
  { id: 'coil-minus', label: 'Wire to module', picture: 'wire', joint: true },
  ...addedStations(fit, 'after the coil'),
  { id: 'module', label: 'Module', picture: 'pack' },
  { id: 'module-earth', label: 'Module earth', picture: 'earth', joint: true },
  { id: 'strap', label: 'Engine strap', picture: 'earth', joint: true },
  ...DISTRIBUTOR_STATIONS,
  ...triggerStations(fit),
  { id: 'module-feed', label: 'Module feed', picture: 'wire', joint: true, lane: into('Feed') },
];

function triggerParts(fit: Fit): PartInstance[] {
  const computer: PartInstance[] =
    fit.module === 'commanded'
      ? [
          {
            id: 'computer',
            label: 'Engine computer',
            station: 'computer',
            kind: PARTS.engineComputer,
            nodes: { in: 'trg-in', earth: 'block' },
          },
        ]
      : [];
  if ((fit.trigger ?? 'magnetic') === 'magnetic')
    return [...triggerLine('Pick-up coil', 'Pick-up connector', PARTS.pickupCoil), ...computer];
  return [
    {
      id: 'sensor',
      label: fit.trigger === 'hall' ? 'Hall sensor' : 'Optical sensor',
      station: 'trigger',
      kind: PARTS.sensor,
      nodes: { supply: 'sensor+', signal: 'signal', earth: 'block' },
    },
    {
      id: 'sensor-feed',
      label: 'Sensor’s feed wire',
      station: 'sensor-wires',
      kind: PARTS.wire,
      nodes: { a: 'module+', b: 'sensor+', earth: 'block' },
      fails: ['broken'],
    },
    {
      id: 'sensor-signal',
      label: 'Sensor’s signal wire',
      station: 'sensor-wires',
      kind: PARTS.signalWire,
      nodes: { a: 'signal', b: 'trg-in', earth: 'block' },
    },
    ...computer,
  ];
}

const parts = (fit: Fit, site: Site): PartInstance[] => [
  ...supplyParts(fit, site),
  ...coilFeedParts(fit),
  { id: 'coil', label: 'Coil', station: 'coil', kind: PARTS.coil, nodes: { a: 'coil+', b: 'coil-', tower: 'tower' } },
  {
    id: 'coil-minus',
    label: 'Wire from coil to module',
    station: 'coil-minus',
    kind: PARTS.wire,
    nodes: { a: 'coil-', b: addedAt(fit, 'after the coil', 'switched'), earth: 'block' },
  },
  ...addedParts(fit, 'after the coil', 'switched'),
  revCounterPart,
  {
    id: 'module',
    label: 'Ignition module',
    station: 'module',
    kind: PARTS.module,
    nodes: {
      a: 'switched',
      b: 'module-',
      supply: 'module+',
      trigger: 'trg-in',
      ...((fit.trigger ?? 'magnetic') === 'magnetic' ? {} : { pull: 'trg-in' }),
    },
  },
  {
    id: 'module-earth',
    label: 'Earth of the module',
    station: 'module-earth',
    kind: PARTS.moduleEarth,
    nodes: { a: 'module-', b: 'block' },
  },
  {
    id: 'module-feed',
    label: 'Feed of the module',
    station: 'module-feed',
    kind: PARTS.moduleFeed,
    nodes: { a: 'switch-out', b: 'module+', behind: 'coil+' },
    fails: fit.ballast === 'external' ? ['broken', 'corroded', 'behind'] : ['broken', 'corroded'],
  },
  ...triggerParts(fit),
  ...distributorParts(fit),
];

/** Share of each firing's period that a module keeps the coil on: little as it cranks, more as it runs. */
const DWELL = { crank: 0.3, run: 0.6 };

const breaker: Breaker = (scene, state) => {
  const share = state.key === 'run' ? DWELL.run : DWELL.crank;
  return {
    closedSeconds: closedSeconds((share * 360) / scene.machine.fit.cylinders, distributorRpm(scene, state)),
    condenserFarads: 10e-9,
    leakOhms: 1e7,
    clampVolts: figuresAt(scene.params, 'module').clampVolts,
  };
};

function build(kind: 'electronic' | 'conversion', fit: Fit, site: Site): Trail {
  return {
    id: 'spark',
    kind,
    stations: stations(fit),
    parts: parts(fit, site),
    nodeNames: {
      ...supplyNames(fit),
      'coil-': fit.earth === 'negative' ? 'coil −' : 'the module’s terminal of the coil, marked +',
      switched: 'the module’s terminal for the coil',
      'module+': 'the module’s feed',
      'module-': 'the module’s base or earth wire',
      trg: 'the pick-up’s wire, on its own side of the connector',
      'trg-in': 'the trigger wire, at the module',
      'sensor+': 'the sensor’s feed',
      signal: 'the sensor’s signal wire, at the sensor',
    },
    settle: (found, params) => settleModule(found, settleSupply(found, settleWorn(fit, settleShaft(params)))),
    offers: sparkOffers(coilSpark({ breaker }), { ...supplyOffers(fit), ...distributorOffers }),
    firing: coilFiring({ breaker }),
    sparkWay: distributorWay,
    onShare: () => DWELL.crank,
  };
}

export const electronic: TrailKind = {
  trail: 'spark',
  kind: 'electronic',
  label: 'Electronic trigger and module, with distributor',
  build: (fit, site) => build('electronic', fit, site),
};

/** A module and its sensor under an old cap, in place of the points. */
export const conversion: TrailKind = {
  trail: 'spark',
  kind: 'conversion',
  label: 'Electronic conversion in a points distributor',
  build: (fit, site) => build('conversion', { ...fit, trigger: fit.trigger === 'optical' ? 'optical' : 'hall' }, site),
};
