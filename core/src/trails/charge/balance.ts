import { figuresAt } from '../../machine/figures.ts';
import { chargerCan } from '../../network/index.ts';
import { RUNNING } from '../../machine/state.ts';
import type { Scene } from '../../machine/scene.ts';
import { engineRpm, REGULATOR, SOURCE } from './making.ts';
import { chargerAt, wattsOf } from './parts/index.ts';

/** What the machine gives against what is taken, at one speed of the engine. Rev/min, amperes at the set point. */
export interface BalancePoint {
  readonly rpm: number;
  readonly gives: number;
}
export interface Balance {
  /** From standstill to fast. */
  readonly points: readonly BalancePoint[];
  readonly volts: number;
  /** Amperes of all consumers at the set point, and each of them where they are told. */
  readonly takes: number;
  readonly items: readonly { readonly label: string; readonly amps: number }[];
  readonly idleRpm: number;
  readonly fastRpm: number;
  /** Above this speed more is given than taken; nothing where that never happens. */
  readonly evenRpm: number | null;
  /** Idling with all on, from full to a quarter; nothing where it does not run down. */
  readonly hoursToFlat: number | null;
  /** Fast with all on, from a quarter to full; nothing where it does not fill. */
  readonly hoursToFull: number | null;
  readonly ampHours: number;
}

/** Usual capacity of a battery beside such an engine: large ones for what they start. Ampere hours. */
const usualAmpHours = (cylinders: number, volts: number): number =>
  (cylinders <= 2 ? 14 : 55) * (volts === 6 ? 1.6 : 1);
/** From a quarter to full, and what of the charge is kept. */
const TO_A_QUARTER = 0.75;
const KEPT = 0.85;
/** A battery takes no more than this share of its ampere hours in an hour, whatever it is offered. */
const TAKES = 0.25;
const STEPS = 48;

/** Hours until a full battery is down to a quarter, where it no longer turns an engine for certain. */
export const hoursToAQuarter = (amps: number, ampHours: number): number =>
  amps > 0 ? (TO_A_QUARTER * ampHours) / amps : Infinity;

/** The balance sheet of a machine whose charging is told; nothing without a battery to keep. */
export function balanceOf(scene: Scene): Balance | undefined {
  const { machine } = scene;
  const { fit } = machine;
  const source = machine.partById.get(SOURCE);
  if (!source || !fit.charge || !machine.partById.has('battery')) return undefined;
  const figures = figuresAt(scene.params, SOURCE);
  const volts = figuresAt(scene.params, REGULATOR).setVolts;
  const [idleRpm, fastRpm] = [engineRpm(fit), engineRpm(fit, 'fast')];
  const context = {
    id: SOURCE,
    nodes: source.nodes,
    fit,
    state: { ...RUNNING, loads: 'all' },
  } as const;
  const gives = (rpm: number): number =>
    rpm > 0 ? Math.max(0, chargerCan(chargerAt(figures, context, rpm), volts).amps) : 0;
  const takes = (wattsOf(fit) / fit.volts ** 2) * volts;
  const points = Array.from({ length: STEPS + 1 }, (_, k) => {
    const rpm = (fastRpm * 1.15 * k) / STEPS;
    return { rpm, gives: gives(rpm) };
  });
  const even = points.find((p) => p.gives > takes);
  const ampHours = usualAmpHours(fit.cylinders, fit.volts);
  const lacks = takes - gives(idleRpm);
  const over = Math.min(TAKES * ampHours, gives(fastRpm) - takes);
  return {
    points,
    volts,
    takes,
    items: fit.charge.loads.map((l) => ({ label: l.label, amps: (l.watts / fit.volts ** 2) * volts })),
    idleRpm,
    fastRpm,
    evenRpm: even?.rpm ?? null,
    hoursToFlat: lacks > 0.05 ? hoursToAQuarter(lacks, ampHours) : null,
    hoursToFull: over > 0.05 ? (TO_A_QUARTER * ampHours) / (KEPT * over) : null,
    ampHours,
  };
}
