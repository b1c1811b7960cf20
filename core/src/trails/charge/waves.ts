import type { Charger, Element } from '../../network/index.ts';

/** Pairs of poles: of a claw-pole rotor and, near enough, under a small engine's flywheel. */
export const POLE_PAIRS = 6;
/** From the machine through wire, battery, body and engine back to it: about a microhenry a metre [10]. */
export const LOOP_HENRIES = 6e-6;
const OFF_OHMS = 1e6;
/** What the iron takes beside a winding's inductance. */
const IRON_OHMS = 5e3;
/** A diode that has gone to a short, and a control that shorts or joins. */
const SHORTED_OHMS = 0.02;

/** What is wrong with winding or diodes, on the first leg and those that follow; nothing of it on a sound machine. */
export interface Harmed {
  readonly openLeg?: boolean;
  /** From the leg to the core, ohms. */
  readonly coreOhms?: number;
  readonly diode?: 'open' | 'shorted';
  /** How many of the live diodes are open; one where that is not said. */
  readonly open?: 1 | 2 | 3;
}

/** A junction that has about three quarters of a volt over it at some amperes. */
const junction = (id: string, a: string, b: string): Element => ({
  type: 'diode',
  id,
  a,
  b,
  saturationAmps: 1e-9,
  emission: 1.3,
  seriesOhms: 2e-3,
});
/** What shorts a leg or joins two nodes: a control, standing either way. */
export const control = (id: string, a: string, b: string, closed: boolean): Element => ({
  type: 'switch',
  id,
  a,
  b,
  closed,
  onOhms: SHORTED_OHMS,
  offOhms: OFF_OHMS,
});

/**
 * The windings wave by wave [9]: a sine behind resistance and inductance for each phase, from `back` to `leg1`, `leg2`,
 * `leg3`. Hertz of the waves.
 */
export function windings(e: Charger, hertz: number, back: string, harmed: Harmed = {}): Element[] {
  const henries = e.reactanceOhms / (2 * Math.PI * hertz);
  return Array.from({ length: e.winding === 'three' ? 3 : 1 }, (_, k): Element[] => {
    const [source, inside, leg] = [`e${k + 1}`, `l${k + 1}`, `leg${k + 1}`];
    return [
      {
        type: 'voltage',
        id: source,
        a: source,
        b: back,
        volts: 0,
        wave: {
          kind: 'sine',
          offset: 0,
          amplitude: e.emfVolts * Math.SQRT2,
          hertz,
          delay: -k / (3 * hertz),
          damping: 0,
        },
      },
      {
        type: 'resistor',
        id: `winding${k + 1}`,
        a: source,
        b: inside,
        ohms: k === 0 && harmed.openLeg ? OFF_OHMS : e.ohms,
      },
      { type: 'inductor', id: `coil${k + 1}`, a: inside, b: leg, henries },
      { type: 'resistor', id: `iron${k + 1}`, a: inside, b: leg, ohms: IRON_OHMS },
    ];
  }).flat();
}

/** Diodes from the legs to the live bus and from earth to the legs; of a half wave the upper ones alone. */
export function rectifier(
  e: Charger,
  legs: readonly string[],
  bus: string,
  earth: string,
  harmed: Harmed = {},
): Element[] {
  // On positive earth the machine is the same, its diodes the other way round.
  const way = (id: string, from: string, to: string) => (e.sign > 0 ? junction(id, from, to) : junction(id, to, from));
  return legs.flatMap((leg, k): Element[] => {
    const upper: Element[] =
      k < (harmed.open ?? 1) && harmed.diode === 'open'
        ? []
        : k === 0 && harmed.diode === 'shorted'
          ? [{ type: 'resistor', id: `up-${leg}`, a: leg, b: bus, ohms: SHORTED_OHMS }]
          : [way(`up-${leg}`, leg, bus)];
    return [
      ...upper,
      ...(e.halfWave ? [] : [way(`down-${leg}`, earth, leg)]),
      ...(k === 0 && harmed.coreOhms !== undefined && harmed.coreOhms < OFF_OHMS
        ? [{ type: 'resistor', id: 'to-core', a: leg, b: earth, ohms: harmed.coreOhms } as const]
        : []),
    ];
  });
}

/** What ties a winding that hangs on its diodes alone, or one end of a half wave's, to earth. */
export const tie = (e: Charger, back: string, earth: string): Element => ({
  type: 'resistor',
  id: 'middle',
  a: back,
  b: earth,
  ohms: e.halfWave ? 1e-3 : OFF_OHMS,
});
