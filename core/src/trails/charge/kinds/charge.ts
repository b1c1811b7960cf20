import type { PartInstance } from '../../../machine/part.ts';
import type { Site } from '../../../machine/site.ts';
import type { Station, Trail, TrailKind } from '../../../machine/trail.ts';
import type { Fit } from '../../../schema/fit.ts';
import { batteryParts, strapParts } from '../../shared/supply.ts';
import { SHARED_PARTS } from '../../shared/parts/index.ts';
import { chargeOffers, settleCharge } from '../charging.ts';
import { circuitOf } from '../fieldCircuit.ts';
import { BELT, CUTOUT, FIELD_WIRE, INDICATOR, REGULATOR, REGULATOR_EARTH, SOURCE } from '../making.ts';
import { CHARGE_PARTS as PARTS } from '../parts/index.ts';

type Kind = 'generator' | 'alternator' | 'alternator-apart' | 'stator-single' | 'stator-three';

const driven = (kind: Kind) => kind === 'generator' || kind === 'alternator' || kind === 'alternator-apart';
/** A regulator that stands apart measures against an earth of its own. */
const apart = (kind: Kind) => kind !== 'alternator';
const NAMES: Readonly<Record<Kind, { source: string; regulator: string; picture: string }>> = {
  generator: { source: 'Generator', regulator: 'Regulator', picture: 'disc' },
  alternator: { source: 'Alternator', regulator: 'Regulator', picture: 'disc' },
  'alternator-apart': { source: 'Alternator', regulator: 'Regulator', picture: 'disc' },
  'stator-single': { source: 'Stator', regulator: 'Regulator-rectifier', picture: 'winding' },
  'stator-three': { source: 'Stator', regulator: 'Regulator-rectifier', picture: 'winding' },
};
const regulating = { name: 'Regulator', joins: SOURCE } as const;
const telling = { name: 'Lamp and exciting', joins: SOURCE } as const;
const atRest = { name: 'At rest', joins: 'battery' } as const;

const told = (kind: Kind, fit: Fit) => (kind.startsWith('stator') ? 'nothing' : (fit.charge?.tells ?? 'lamp'));

const stations = (kind: Kind, fit: Fit): Station[] => [
  ...(driven(kind) ? [{ id: BELT, label: 'Belt', picture: 'gear' }] : []),
  { id: SOURCE, label: NAMES[kind].source, picture: NAMES[kind].picture },
  ...(kind === 'generator' ? [{ id: CUTOUT, label: 'Cut-out', picture: 'relay' }] : []),
  { id: 'charge-wire', label: 'Charge wire', picture: 'wire', joint: true },
  { id: 'terminals', label: 'Live clamp', picture: 'clamp', joint: true },
  { id: 'battery', label: 'Battery', picture: 'battery' },
  { id: 'strap', label: 'Engine strap', picture: 'earth', joint: true },
  ...(apart(kind)
    ? [{ id: REGULATOR_EARTH, label: 'Regulator earth', picture: 'earth', joint: true, lane: regulating }]
    : []),
  { id: REGULATOR, label: NAMES[kind].regulator, picture: 'box', lane: regulating },
  ...(kind === 'generator'
    ? [{ id: FIELD_WIRE, label: 'Field wire', picture: 'wire', joint: true, lane: regulating }]
    : []),
  ...(kind.startsWith('stator')
    ? []
    : [
        {
          id: INDICATOR,
          label: told(kind, fit) === 'lamp' ? 'Charge lamp' : 'Exciting wire',
          picture: 'switch',
          lane: telling,
        },
      ]),
  { id: 'standing', label: 'What stays on', picture: 'box', lane: atRest },
];

function sourceParts(kind: Kind, { block, fit }: Site): PartInstance[] {
  const at = { id: SOURCE, label: NAMES[kind].source, station: SOURCE };
  if (kind === 'generator')
    return [
      { ...at, kind: circuitOf(fit) === 'A' ? PARTS.generator : PARTS.generatorB, nodes: { a: 'gen', b: block } },
      { id: CUTOUT, label: 'Cut-out', station: CUTOUT, kind: PARTS.cutOut, nodes: { a: 'gen', b: 'chg-out' } },
    ];
  if (kind === 'stator-three') return [{ ...at, kind: PARTS.statorThree, nodes: { a: 'chg-out', b: block } }];
  if (kind === 'stator-single') return [{ ...at, kind: PARTS.statorSingle, nodes: { a: 'chg-out', b: block } }];
  return [{ ...at, kind: PARTS.alternator, nodes: { a: 'chg-out', b: block, ind: 'chg-ind' } }];
}
function regulatorParts(kind: Kind, { block }: Site): PartInstance[] {
  const own = { id: REGULATOR, label: NAMES[kind].regulator, station: REGULATOR };
  const regulator: PartInstance = kind.startsWith('stator')
    ? { ...own, kind: PARTS.regulatorRectifier, nodes: { a: 'chg-out', b: block } }
    : {
        ...own,
        kind:
          kind === 'generator' ? PARTS.regulatorBox : kind === 'alternator' ? PARTS.regulator : PARTS.regulatorApart,
        nodes: {},
        apart: true,
      };
  const earth: PartInstance = {
    id: REGULATOR_EARTH,
    label: 'Regulator earth',
    station: REGULATOR_EARTH,
    kind: PARTS.regulatorEarth,
    nodes: {},
    apart: true,
  };
  const wire: PartInstance = {
    id: FIELD_WIRE,
    label: 'Field wire',
    station: FIELD_WIRE,
    kind: PARTS.fieldWire,
    nodes: {},
    apart: true,
  };
  if (kind === 'generator') return [regulator, earth, wire];
  return apart(kind) ? [regulator, earth] : [regulator];
}
function indicatorParts(kind: Kind, fit: Fit): PartInstance[] {
  if (kind.startsWith('stator')) return [];
  const nodes = { a: 'switch-out', b: kind === 'generator' ? 'gen' : 'chg-ind' };
  const lamp = told(kind, fit) === 'lamp';
  // A generator starts itself: without a lamp nothing is needed in its place.
  if (!lamp && kind === 'generator') return [];
  return [
    {
      id: INDICATOR,
      label: lamp ? 'Charge lamp' : 'Exciting wire',
      station: INDICATOR,
      kind: lamp ? PARTS.chargeLamp : PARTS.exciteResistor,
      nodes,
      // A generator does not care what bulb it is.
      ...(lamp && kind === 'generator' ? { fails: ['blown', 'wire'] } : {}),
    },
  ];
}

const parts = (kind: Kind, fit: Fit, site: Site): PartInstance[] => [
  ...batteryParts(site),
  ...site.take('switch', () => [
    {
      id: 'key',
      label: 'Key',
      station: 'terminals',
      kind: SHARED_PARTS.ignitionSwitch,
      nodes: { a: 'main', b: 'switch-out' },
      fails: [],
    },
  ]),
  ...(driven(kind) ? [{ id: BELT, label: 'Belt', station: BELT, kind: PARTS.belt, nodes: {}, apart: true }] : []),
  ...sourceParts(kind, site),
  {
    id: 'charge-wire',
    label: 'Charge wire',
    station: 'charge-wire',
    kind: PARTS.chargeWire,
    nodes: { a: 'chg-out', b: 'main' },
  },
  ...regulatorParts(kind, site),
  ...indicatorParts(kind, fit),
  {
    id: 'consumers',
    label: 'Consumers',
    station: 'terminals',
    kind: PARTS.consumers,
    nodes: { a: 'main', b: site.block },
  },
  {
    id: 'standing',
    label: 'What stays on',
    station: 'standing',
    kind: PARTS.standing,
    nodes: { a: 'main', b: site.earthPost },
  },
  ...strapParts(site),
];

const build = (kind: Kind, fit: Fit, site: Site): Trail => {
  const own = parts(kind, fit, site);
  const has = (station: string) => own.some((p) => p.station === station);
  return {
    id: 'charge',
    kind,
    stations: stations(kind, fit).filter((s) => s.id !== INDICATOR || has(INDICATOR)),
    parts: own,
    nodeNames: {
      [site.earthPost]: 'the battery earth post',
      [site.block]: 'bare metal on the engine',
      post: 'the live battery post',
      main: 'the live battery clamp',
      gen: 'the armature terminal of the generator',
      'chg-out':
        kind === 'generator'
          ? 'the battery terminal of the regulator box'
          : `the B+ terminal of the ${NAMES[kind].source.toLowerCase()}`,
      'chg-ind': 'the lamp terminal of the alternator',
      'switch-out': 'the switched terminal of the key',
    },
    settle: settleCharge,
    offers: chargeOffers,
  };
};

const kind = (name: Kind, label: string): TrailKind => ({
  trail: 'charge',
  kind: name,
  label,
  build: (fit, site) => build(name, fit, site),
});

export const generator = kind('generator', 'Generator with a regulator box');
export const alternator = kind('alternator', 'Alternator, its regulator inside');
export const alternatorApart = kind('alternator-apart', 'Alternator, its regulator apart');
export const statorSingle = kind('stator-single', 'Permanent magnets, one phase');
export const statorThree = kind('stator-three', 'Permanent magnets, three phases');
