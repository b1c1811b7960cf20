import { halved } from '../engine/halved.ts';
import type { Band } from '../machine/part.ts';

/** What an exhaust gas tester shows at idle: shares of the dry gas by volume, per cent, and unburnt fuel as hexane, ppm. */
export interface Gases {
  readonly co: number;
  readonly co2: number;
  readonly o2: number;
  readonly hcPpm: number;
}

/** Atoms of hydrogen and of oxygen a carbon atom of petrol; what one of hexane counts for; the water gas equilibrium. */
const [HYDROGEN, OXYGEN, HEXANE, WATER_GAS] = [1.7261, 0.0176, 6, 3.5];
/** Nitrogen that comes with a volume of oxygen. */
const NITROGEN = 3.76;

/** Air over the air that the fuel needs, by the balance of carbon and oxygen in the gas [13]. */
export function lambdaOf({ co, co2, o2, hcPpm }: Gases): number {
  const hc = hcPpm * 1e-4;
  const split = WATER_GAS / (WATER_GAS + co / co2);
  const oxygen = co2 + co / 2 + o2 + ((HYDROGEN / 4) * split - OXYGEN / 2) * (co2 + co);
  return oxygen / ((1 + HYDROGEN / 4 - OXYGEN / 2) * (co2 + co + HEXANE * hc));
}

/**
 * Carbon monoxide of a rich mixture that has burned as far as its air goes, per cent of the dry gas: carbon, hydrogen and
 * oxygen are kept, and the water gas equilibrium parts them [1]. Found by halving between none and all of the carbon.
 */
export function coOf(lambda: number): number {
  const air = lambda * (1 + HYDROGEN / 4 - OXYGEN / 2);
  const oxygen = 2 * air + OXYGEN;
  const gasAt = (monoxide: number) => {
    const water = oxygen - 2 * (1 - monoxide) - monoxide;
    return { water, free: HYDROGEN / 2 - water };
  };
  const [monoxide] = halved(0, 1, HALVINGS, (middle) => {
    const { water, free } = gasAt(middle);
    // Too much monoxide leaves no hydrogen free, or less than the equilibrium asks for.
    return free > 0 && middle * water <= WATER_GAS * (1 - middle) * free;
  });
  const { free } = gasAt(monoxide);
  return (100 * monoxide) / (1 + Math.max(0, free) + NITROGEN * air);
}
const HALVINGS = 60;
/** Between these the balance holds: leaner has no monoxide left, richer would not light. */
const [RICHEST, LEANEST] = [0.6, 1];

/** The mixture by its monoxide alone, where the tester shows nothing else. */
export function lambdaByCo(co: number): number {
  const [low, high] = halved(RICHEST, LEANEST, HALVINGS, (middle) => coOf(middle) > co);
  return (low + high) / 2;
}

export type GasSays =
  /** Air that did not go through the engine thins what is shown. */
  | 'diluted'
  /** Fuel and air go out unburnt: a cylinder does not fire. */
  | 'misfires'
  | 'rich'
  | 'lean'
  | 'right';

/** A burnt gas holds so much carbon, per cent: less, and air has come in behind the engine. Trade usage. */
const CARBON_FROM = 12;
/** Unburnt from here on, ppm, with so much oxygen beside it, per cent: fuel that never burned. Trade usage. */
const UNBURNT = { hcPpm: 1000, o2: 3 } as const;
/** Of an old carburettor's idle where no book says, per cent. Trade usage. */
export const USUAL_CO = { low: 1, high: 3.5 } as const;

/** What the gas says, with as much of it as the tester shows; `band` in per cent of monoxide. */
export function gasSays({ co, co2, o2, hcPpm }: Partial<Gases> & Pick<Gases, 'co'>, band: Band): GasSays {
  if (hcPpm !== undefined && hcPpm > UNBURNT.hcPpm && (o2 ?? 0) > UNBURNT.o2) return 'misfires';
  if (co2 !== undefined && co + co2 < CARBON_FROM) return 'diluted';
  if (co > band.high) return 'rich';
  return co < band.low ? 'lean' : 'right';
}

/** Monoxide as it was before other air came in: carbon is brought back to what a burnt gas holds. Per cent. */
export const undiluted = (co: number, co2: number): number => (co * WHOLE_CARBON) / (co + co2);
const WHOLE_CARBON = 15;
