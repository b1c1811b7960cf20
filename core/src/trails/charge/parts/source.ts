import { chargerCan, type Charger, type Element } from '../../../network/index.ts';
import {
  between,
  logBetween,
  OPEN_OHMS,
  type Figures,
  type PartContext,
  type PartKind,
  type PlateSpec,
} from '../../../machine/part.ts';
import type { Fit } from '../../../schema/fit.ts';
import { DIODE_OPEN, DIODE_SHORTED, LEG_GONE, TWO_OPEN } from '../harmed.ts';
import { about, engineRpm, makingOf, mostAmps } from '../making.ts';

type Kind = NonNullable<Fit['charge']>['kind'];
const kindOf = (fit: Fit): Kind => fit.charge?.kind ?? 'alternator';

/** What an alternator’s sound diodes let by backwards, ohms. */
const SOUND_DIODES_OHMS = 2e5;
const SOUND_BELT = 0.95;
const SLIPS_MORE = 0.55;
/** A machine that cannot lift its terminals over a battery of this many volts, of twelve, gives nothing. */
const OVER_VOLTS = 12.4;
const IRON_OHMS = 600;

/** Whether the machine stands above the battery at all. */
const lifts = (e: Charger, fit: Fit): boolean => chargerCan(e, (OVER_VOLTS * fit.volts) / 12).amps > 0;

/** What every machine that charges has; what works it is put in before anyone measures. */
export type MachineFigures = Figures<'voltsPerRpm' | 'ohms', 'share' | PutIn>;
export type PutIn = 'works' | 'carried' | 'setVolts' | 'most';

/** The machine as a charger at a state's speed; `works`, `carried` and `setVolts` are put in before anyone measures. */
function chargerOf(p: MachineFigures, context: PartContext): Charger {
  return chargerAt(p, context, engineRpm(context.fit, context.state.speed));
}
/** The same at any speed of the engine, rev/min. */
export function chargerAt(p: MachineFigures, { id, nodes, fit, state }: PartContext, engine: number): Charger {
  const making = makingOf(kindOf(fit), fit);
  const carried = p.carried ?? 1;
  // A belt that slips does so the more, the more is asked.
  const slips = carried < SOUND_BELT && state.loads === 'all' ? SLIPS_MORE * carried : carried;
  const rpm = engine * making.ratio * slips;
  return {
    type: 'charger',
    id,
    a: nodes['a']!,
    b: nodes['b']!,
    sign: fit.earth === 'positive' ? -1 : 1,
    winding: making.winding,
    halfWave: fit.charge?.wave === 'half',
    emfVolts: p.voltsPerRpm * rpm * (p.share ?? 1) * (p.most ?? 1),
    ohms: p.ohms,
    reactanceOhms: making.reactancePerRpm * rpm,
    diodeVolts: making.diodeVolts,
    ...(making.winding === 'direct' ? { mostAmps: mostAmps('generator', fit) } : {}),
    setVolts: p.setVolts ?? 0,
    droopOhms: (0.012 * fit.volts) / 12,
  };
}

/** What every machine that charges has on its plate. */
export const plates = (winding: string): PlateSpec<'voltsPerRpm' | 'ohms'>[] => [
  {
    id: 'voltsPerRpm',
    label: 'Volts for each rev/min',
    dimension: 'voltage',
    typical: (fit) => about(makingOf(kindOf(fit), fit).voltsPerRpm),
    hidden: true,
  },
  {
    id: 'ohms',
    label: winding,
    dimension: 'resistance',
    typical: (fit) => about(makingOf(kindOf(fit), fit).ohms, 0.15),
  },
];
/** Its elements as it turns and works; none otherwise. */
export function running(p: MachineFigures, context: PartContext): Element[] {
  if (context.state.key !== 'run' || (p.works ?? 1) < 0.5 || p.ohms >= OPEN_OHMS) return [];
  const charger = chargerOf(p, context);
  // Its iron takes a little by itself: what nothing is connected to does not run away.
  const { a, b, id } = charger;
  return lifts(charger, context.fit)
    ? [charger, { type: 'resistor', id: `${id}.iron`, a, b, ohms: IRON_OHMS * (context.fit.volts / 12) ** 2 }]
    : [];
}

/** Of the degrees of wear, those from which a brush no longer touches; before that it touches badly. Judgement. */
const OFF_FROM = 0.25;
/** What brushes at a degree of their wear add to their winding, from `first` to `last` ohms, until they are off. */
const worn = (first: number, last: number, s: number): number =>
  s > OFF_FROM ? OPEN_OHMS : logBetween(first, last, s / OFF_FROM);
const brushes = {
  id: 'brushes',
  label: 'brushes worn or stuck',
  weight: 3,
  repair: 'brushes',
  comesWith: 'shaking',
} as const;
const fieldOpen = {
  id: 'field-open',
  label: 'field winding open',
  weight: 1.2,
  repair: 'replace',
  comesWith: 'heat',
  apply: <F extends Figures<'fieldOhms'>>(p: F): F => ({ ...p, fieldOhms: OPEN_OHMS }),
} as const;
const repairs = (what: string, money: number): PartKind['repairs'] => [
  { id: 'brushes', label: `Renew the ${what}’s brushes`, minutes: 50, money: 14 },
  { id: 'replace', label: `Replace the ${what}`, minutes: 45, money },
];
const field: PlateSpec<'fieldOhms'> = {
  id: 'fieldOhms',
  label: 'Field',
  dimension: 'resistance',
  typical: (fit) => {
    const ohms = (kindOf(fit) === 'generator' ? 6 : 3.6) * (fit.volts / 12) ** 2;
    return about(ohms, 0.15);
  },
};

/** Share of its flux with which a generator no longer starts itself. */
const NO_LONGER_STARTS = 0.007;

/** Two-brush generator: armature, shunt field, the magnetism that is left in its iron. Nodes `a` armature, `b` earth. */
export const generator: PartKind<'voltsPerRpm' | 'ohms' | 'fieldOhms' | 'residual', 'worn' | 'share' | PutIn> = {
  kind: 'generator',
  symbol: 'generator',
  plates: [
    ...plates('Armature'),
    field,
    {
      id: 'residual',
      label: 'Magnetism left',
      dimension: 'ratio',
      typical: () => ({ low: 0.02, high: 0.05 }),
      hidden: true,
    },
  ],
  repairs: [
    ...repairs('generator', 150),
    {
      id: 'polarise',
      label: 'Polarise the generator: battery to armature terminal, for an instant',
      minutes: 5,
      money: 0,
    },
  ],
  faults: [
    {
      ...brushes,
      apply: (p, s, { volts }) => ({ ...p, ohms: p.ohms + worn(0.3, 4, s) * (volts / 12) ** 2, worn: 1 }),
    },
    fieldOpen,
    {
      id: 'no-residual',
      label: 'has lost its magnetism, or is polarised the wrong way',
      weight: 1.5,
      repair: 'polarise',
      apply: (p, s) => ({ ...p, residual: between(NO_LONGER_STARTS, 0, s) }),
    },
    {
      id: 'shorted',
      from: { share: 1 },
      label: 'armature shorted',
      weight: 1,
      repair: 'replace',
      apply: (p, s) => ({ ...p, share: between(0.5, 0.2, s) }),
    },
  ],
  elements: (p, context) => {
    const { id, nodes } = context;
    // Standing still it is a low resistance to earth: its lamp lights through it.
    const still = Math.min(OPEN_OHMS, p.ohms < OPEN_OHMS ? 1.2 : OPEN_OHMS);
    const working = running(p, context);
    return working.length ? working : [{ type: 'resistor', id, a: nodes['a']!, b: nodes['b']!, ohms: still }];
  },
};

/** The same with its field’s far end earthed inside: it is polarised through its field alone. */
export const generatorB: typeof generator = {
  ...generator,
  repairs: generator.repairs.map((r) =>
    r.id === 'polarise'
      ? { ...r, label: 'Polarise the generator: field wire off the box, on the battery for an instant' }
      : r,
  ),
};

/** Of the degrees of open diodes those from which it is two, and all that feed the battery; one is commonest. Judgement. */
const OPEN_FROM = { two: 0.5, all: 0.75 } as const;
const ALL_OPEN = 3;
function diodesOpen(s: number) {
  if (s >= OPEN_FROM.all) return { openDiode: ALL_OPEN };
  const two = s >= OPEN_FROM.two;
  const within = two ? (s - OPEN_FROM.two) / (OPEN_FROM.all - OPEN_FROM.two) : s / OPEN_FROM.two;
  const { share } = two ? TWO_OPEN : DIODE_OPEN;
  return {
    openDiode: two ? 2 : 1,
    share: between(share.fast, share.idle, within),
    feedsOhms: between(0.6, 1.2, within),
    ripple: two ? between(TWO_OPEN.ripple.fast, TWO_OPEN.ripple.idle, within) : DIODE_OPEN.ripple,
  };
}

/** Alternator with a wound rotor. Nodes `a` its output, `b` earth, `ind` the terminal of lamp and exciting current. */
export const alternator: PartKind<
  'voltsPerRpm' | 'ohms' | 'fieldOhms',
  'worn' | 'openLeg' | 'share' | 'feedsOhms' | 'ripple' | 'openDiode' | 'shortedDiode' | 'leakOhms' | PutIn
> = {
  kind: 'alternator',
  symbol: 'generator',
  plates: [...plates('Stator, a phase'), { ...field, label: 'Rotor, ring to ring' }],
  repairs: repairs('alternator', 170),
  faults: [
    {
      ...brushes,
      apply: (p, s, { volts }) => ({ ...p, fieldOhms: p.fieldOhms + worn(2, 60, s) * (volts / 12) ** 2, worn: 1 }),
    },
    fieldOpen,
    {
      id: 'phase',
      label: 'a phase of the stator open',
      weight: 1,
      repair: 'replace',
      apply: (p, s) => ({
        ...p,
        openLeg: 1,
        share: between(LEG_GONE.share.fast, LEG_GONE.share.idle, s),
        feedsOhms: between(0.7, 1.3, s),
        ripple: LEG_GONE.ripple,
      }),
    },
    {
      id: 'diode-open',
      label: 'one or more diodes open',
      weight: 1.5,
      repair: 'replace',
      comesWith: 'heat',
      apply: (p, s) => ({ ...p, ...diodesOpen(s) }),
    },
    {
      // What feeds its field is lost: it lives on what the lamp lets through, and the lamp glows on.
      id: 'exciter',
      label: 'exciter diodes open',
      weight: 1,
      repair: 'replace',
      comesWith: 'heat',
      apply: (p, s) => ({ ...p, share: between(0.55, 0.28, s), feedsOhms: logBetween(30, 3000, s) }),
    },
    {
      id: 'diode-shorted',
      label: 'a diode shorted',
      weight: 1.5,
      repair: 'replace',
      apply: (p, s, { volts }) => ({
        ...p,
        shortedDiode: 1,
        share: between(DIODE_SHORTED.share.fast, DIODE_SHORTED.share.idle, s),
        ripple: DIODE_SHORTED.ripple,
        leakOhms: logBetween(120, 5, s) * (volts / 12),
      }),
    },
    {
      // Forwards it does its work, backwards it lets a little by: nothing shows until the engine stands.
      id: 'diode-leaks',
      from: { leakOhms: SOUND_DIODES_OHMS },
      label: 'a diode leaks, drains the battery at rest',
      weight: 0.6,
      repair: 'replace',
      comesWith: 'heat',
      apply: (p, s, { volts }) => ({ ...p, leakOhms: logBetween(300, 12, s) * (volts / 12) }),
    },
  ],
  elements: (p, context) => {
    const { id, nodes } = context;
    const [a, b, ind] = [nodes['a']!, nodes['b']!, nodes['ind']!];
    // With none left to the battery it feeds its own field alone.
    const itself = p.openDiode === ALL_OPEN;
    const working = running(p, itself ? { ...context, nodes: { ...nodes, a: ind } } : context);
    return [
      ...working,
      // The rotor earths the lamp until its own diodes feed it.
      { type: 'resistor', id: `${id}.rotor`, a: ind, b, ohms: p.fieldOhms },
      {
        type: 'switch',
        id: `${id}.feeds`,
        a,
        b: ind,
        closed: working.length > 0 && !itself,
        onOhms: p.feedsOhms ?? 0.1,
        offOhms: OPEN_OHMS,
      },
      { type: 'resistor', id: `${id}.leak`, a, b, ohms: p.leakOhms ?? SOUND_DIODES_OHMS },
    ];
  },
};
