import { figuresIfAny } from '../../../machine/figures.ts';
import { howItRuns } from '../../../engine/howItRuns.ts';
import { Scene } from '../../../machine/scene.ts';
import { JUST_OFF, KEY_ON_OPEN } from '../../../machine/state.ts';
import type { PartParams } from '../../../machine/part.ts';
import type { Fit } from '../../../schema/fit.ts';
import { startsAtRpm } from '../exciting.ts';
import { engineRpm, INDICATOR, SOURCE } from '../making.ts';

/** What may stand between the key and the machine's lamp terminal. */
export type Exciter =
  | { readonly kind: 'lamp'; readonly watts: number }
  | { readonly kind: 'resistor'; readonly ohms: number }
  | { readonly kind: 'LED'; readonly ohms: number };

export interface Exciting {
  readonly exciter: Exciter;
  /** Amperes with the key on and the engine still. */
  readonly amps: number;
  /** Speed of the engine at which it begins to charge, rev/min. */
  readonly startsRpm: number;
  readonly starts: 'by itself' | 'after a touch of throttle' | 'not at all';
  /** Heat in a resistor with the key left on, watts, and the size on the shelf that stands it. */
  readonly watts: number;
  readonly ratedWatts: number | undefined;
  /** Volts that come back through it to what the switch feeds, the switch just turned off at a fast idle. */
  readonly backVolts: number;
  /** Chance that these keep the engine running; nothing where its spark does not hang on that switch. */
  readonly runsOn: number | undefined;
}

const LAMPS = [1.2, 2, 3, 4, 5] as const;
/** Of twelve volts; others by the square. */
const RESISTORS = [33, 47, 68, 100, 150, 220] as const;
const LED_OHMS = 560;
const SHELF_WATTS = [0.5, 1, 2, 3, 5, 10, 25, 50] as const;
/** A resistor that is to last is made for twice its heat. */
const SPARE = 2;

const exciters = (fit: Fit): readonly Exciter[] => {
  const square = (fit.volts / 12) ** 2;
  return [
    ...LAMPS.map((watts): Exciter => ({ kind: 'lamp', watts })),
    ...RESISTORS.map((ohms): Exciter => ({ kind: 'resistor', ohms: Math.round(ohms * square) })),
    { kind: 'LED', ohms: Math.round((LED_OHMS * fit.volts) / 12) },
  ];
};

const switched = ({ machine }: Scene): boolean =>
  machine.partById.has('switch') && machine.trails.some((t) => t.id === 'spark') && machine.offers.spark !== undefined;

/**
 * What each exciter does on this machine: what flows, from which speed it charges, what it feeds back when the key is
 * turned off. Nothing for a machine that needs none.
 */
export function excitingOf(scene: Scene, choices = exciters(scene.machine.fit)): readonly Exciting[] | undefined {
  const { machine, params } = scene;
  const { fit } = machine;
  const own = figuresIfAny(params, SOURCE);
  if (!machine.partById.has(INDICATOR) || own?.fieldOhms === undefined || own.residual !== undefined) return undefined;
  const { nodes } = machine.partById.get(INDICATOR)!;
  const earth = machine.partById.get(SOURCE)!.nodes['b']!;
  const { fieldOhms } = own;
  return choices.map((exciter) => {
    const fitted = new Scene(machine, { ...params, [INDICATOR]: figuresOf(exciter) });
    const still = fitted.solve(KEY_ON_OPEN);
    const amps = Math.abs(still.amps(INDICATOR));
    const startsRpm = startsAtRpm(fit, fieldOhms, amps, own.share, own.voltsPerRpm);
    const watts = amps * Math.abs(still.volts(nodes['a']!) - still.volts(nodes['b']!));
    const back = fitted.solve(JUST_OFF);
    return {
      exciter,
      amps,
      startsRpm,
      starts: startsBy(startsRpm, fit),
      watts,
      ratedWatts: exciter.kind === 'resistor' ? SHELF_WATTS.find((w) => w >= SPARE * watts) : undefined,
      backVolts: Math.abs(back.volts('switch-out') - back.volts(earth)),
      runsOn: switched(scene) ? 1 - howItRuns(fitted, JUST_OFF).allDead : undefined,
    };
  });
}

const startsBy = (rpm: number, fit: Fit): Exciting['starts'] =>
  rpm < engineRpm(fit) ? 'by itself' : rpm < engineRpm(fit, 'fast') ? 'after a touch of throttle' : 'not at all';

const figuresOf = (exciter: Exciter): PartParams =>
  exciter.kind === 'lamp' ? { watts: exciter.watts } : { ohms: exciter.ohms };

/** A cold morning's slow idle must start it too: so far below the usual one. */
const WITH_MARGIN = 0.85;

/** The one to fit: starts by itself with a margin, does not keep the engine running, and takes least; a lamp first, which also tells. */
export function bestExciter(of: readonly Exciting[], fit: Fit): Exciting | undefined {
  const will = of.filter((e) => e.startsRpm < WITH_MARGIN * engineRpm(fit) && (e.runsOn ?? 0) < 0.5);
  const lamps = will.filter((e) => e.exciter.kind === 'lamp');
  return [...(lamps.length ? lamps : will)].sort((a, b) => a.amps - b.amps)[0];
}
