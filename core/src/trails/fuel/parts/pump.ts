import { between, type FaultMode, type PartKind } from '../../../machine/part.ts';
import type { Fit } from '../../../schema/fit.ts';
import { drinks } from '../feeding.ts';

type PumpFigure = 'pascals' | 'fluidOhms' | 'inOil' | 'runs';
type PumpMay = 'noFeed' | 'hoseSplit' | 'drains';
type PumpFault = FaultMode<PumpFigure, PumpMay>;
type Pumped = 'mechanical' | 'electric' | 'pulse' | 'bulb';
/** Pressure against a shut needle, pascal: 14–35 kPa mechanical, 14–30 electric, 5–20 by the crankcase (SOURCES, fuel). */
const PRESSES: Readonly<Record<Pumped, { low: number; high: number }>> = {
  mechanical: { low: 21e3, high: 30e3 },
  electric: { low: 19e3, high: 27e3 },
  pulse: { low: 15e3, high: 20e3 },
  bulb: { low: 16e3, high: 22e3 },
};
const pressureOf = (fit: Fit) => PRESSES[(fit.fuel?.kind ?? 'mechanical') as Pumped];
/** A pump of a car gives half a litre in half a minute, whatever engine it feeds; a small one so many times what full load drinks. */
const CAR_GIVES = 0.5e-3 / 30;
const GIVES = 3.2;
/** And never less than so many times that. */
const LEAST_GIVES = 2.2;
const gives = (fit: Fit): number =>
  fit.fuel?.kind === 'mechanical' || fit.fuel?.kind === 'electric'
    ? Math.max(CAR_GIVES, LEAST_GIVES * drinks(fit, 'full'))
    : GIVES * drinks(fit, 'full');

const weak = (
  id: string,
  label: string,
  weight: number,
  from: number,
  to: number,
  more: Partial<PumpFault> = {},
): PumpFault => ({
  id,
  label,
  weight,
  repair: 'renew',
  apply: (p, s) => ({ ...p, pascals: p.pascals * between(from, to, s) }),
  ...more,
});

/** Its outlet valve leaks: running it keeps up, standing its line runs empty. */
const drainsBack: PumpFault = {
  id: 'drains',
  label: 'valves leak back, the fuel line drains while it stands',
  weight: 1,
  repair: 'renew',
  comesWith: 'cold',
  from: { drains: 0 },
  apply: (p, s) => ({ ...p, drains: between(0.4, 1, s) }),
};

const pump = (kind: string, faults: readonly PumpFault[], money: number): PartKind<PumpFigure, PumpMay> => ({
  kind,
  symbol: 'none',
  plates: [
    { id: 'pascals', label: 'Pressure', dimension: 'pressure', typical: pressureOf },
    {
      id: 'fluidOhms',
      label: 'What it loses as it gives',
      dimension: 'ratio',
      typical: (fit) => {
        const { low, high } = pressureOf(fit);
        const ohms = (0.6 * (low + high)) / 2 / gives(fit);
        return { low: ohms * 0.85, high: ohms * 1.15 };
      },
      hidden: true,
    },
    { id: 'inOil', label: 'Fuel in the oil', dimension: 'ratio', typical: () => ({ low: 0, high: 0 }), hidden: true },
    {
      id: 'runs',
      label: 'Whether it is heard',
      dimension: 'ratio',
      typical: () => ({ low: 1, high: 1 }),
      hidden: true,
    },
  ],
  repairs: [
    { id: 'renew', label: 'Renew the pump, or its diaphragm and valves', minutes: 40, money },
    { id: 'feed', label: 'Repair the pump’s feed or earth', minutes: 25, money: 3 },
    { id: 'hose', label: 'Renew the pulse hose', minutes: 15, money: 5 },
  ],
  faults,
  elements: () => [],
});

export const mechanicalPump = pump(
  'mechanical fuel pump',
  [
    weak('torn', 'diaphragm torn: fuel runs into the oil', 2, 0.25, 0.03, {
      apply: (p, s) => ({ ...p, pascals: p.pascals * between(0.25, 0.03, s), inOil: 1 }),
    }),
    weak('worn', 'valves or push-rod worn', 2, 0.3, 0.08),
    drainsBack,
  ],
  55,
);
export const electricPump = pump(
  'electric fuel pump',
  [
    {
      id: 'dead',
      label: 'dead: its contacts or its motor',
      weight: 2,
      repair: 'renew',
      comesWith: 'shaking',
      apply: (p) => ({ ...p, pascals: 0, runs: 0 }),
    },
    {
      id: 'feed',
      label: 'without its feed or earth',
      weight: 2,
      repair: 'feed',
      comesWith: 'shaking',
      apply: (p) => ({ ...p, pascals: 0, runs: 0, noFeed: 1 }),
    },
    weak('worn', 'worn, runs but hardly delivers', 1.5, 0.3, 0.08),
  ],
  70,
);
export const pulsePump = pump(
  'pulse fuel pump',
  [
    weak('stiff', 'diaphragm stiff or torn', 2, 0.3, 0.05),
    drainsBack,
    weak('hose', 'pulse hose split or off', 1.5, 0.15, 0, {
      repair: 'hose',
      comesWith: 'shaking',
      apply: (p, s) => ({ ...p, pascals: p.pascals * between(0.15, 0, s), hoseSplit: 1 }),
    }),
  ],
  35,
);
