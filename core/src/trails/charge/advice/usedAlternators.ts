import { z } from 'zod';
import { chargerCan, type Charger } from '../../../network/index.ts';
import type { Scene } from '../../../machine/scene.ts';
import type { Fit } from '../../../schema/fit.ts';
import {
  costOf,
  inOrder,
  measuredAmps,
  measuredRpm,
  measuredVolts,
  usedPartShape,
  wantsOf,
  type Compared,
  type Want,
} from '../../shared/usedPart.ts';
import { engineRpm, makingOf } from '../making.ts';
import { wattsOf } from '../parts/index.ts';

/** What was measured of an alternator on the bench: what it gave, at which of its own speeds, into how many volts. */
export const usedAlternator = z.object({
  ...usedPartShape,
  outputs: z
    .array(z.object({ rpm: measuredRpm, volts: measuredVolts, amps: measuredAmps }))
    .min(1, 'Give what it put out at one speed at least.')
    .max(6),
  /** AC volts at its output while it gives. */
  rippleVolts: z.number().min(0).max(50).optional(),
});
export type UsedAlternator = z.infer<typeof usedAlternator>;

/** Effective phase volts and amperes behind three-phase diodes, by their fundamental; as the charger element has it. */
const PHASE_VOLTS = Math.SQRT2 / Math.PI;
const DC_AMPS = (3 * Math.SQRT2) / Math.PI;

/**
 * EMF and reactance for each rev/min from what was measured: (V₁ + I·R)² + (I·X)² = E² is a straight line in the squares
 * of both. Least squares over all; of one measurement the usual EMF stands. Nothing where no such machine gives that.
 */
export function windingFrom(fit: Fit, outputs: UsedAlternator['outputs']) {
  const usual = makingOf('alternator', fit);
  const rows = outputs.map(({ rpm, volts, amps }) => {
    const phase = amps / DC_AMPS;
    const square = (PHASE_VOLTS * (volts + usual.diodeVolts) + phase * usual.ohms) ** 2;
    return { e: rpm ** 2, x: -((phase * rpm) ** 2), square };
  });
  const [k2, x2] = rows.length === 1 ? throughOne(rows[0]!, usual.voltsPerRpm ** 2) : throughAll(rows);
  return k2 > 0 && x2 >= 0 ? { voltsPerRpm: Math.sqrt(k2), reactancePerRpm: Math.sqrt(x2) } : undefined;
}

interface Row {
  readonly e: number;
  readonly x: number;
  readonly square: number;
}
/** The usual EMF, and the reactance that leaves what was given; more than that asks for no reactance at all. */
function throughOne({ e, x, square }: Row, usual: number): [number, number] {
  const x2 = (square - usual * e) / x;
  return x2 > 0 ? [usual, x2] : [square / e, 0];
}
/** Squares of both by least squares, each row by its own size; not a number where the rows are one. */
function throughAll(rows: readonly Row[]): [number, number] {
  const sum = (of: (r: Row) => number) => rows.reduce((s, r) => s + of(r) / r.square ** 2, 0);
  const [ee, ex, xx] = [sum((r) => r.e * r.e), sum((r) => r.e * r.x), sum((r) => r.x * r.x)];
  const [es, xs] = [sum((r) => r.e * r.square), sum((r) => r.x * r.square)];
  const whole = ee * xx - ex * ex;
  return Math.abs(whole) > 1e-9 * ee * xx ? [(es * xx - xs * ex) / whole, (ee * xs - ex * es) / whole] : [NaN, NaN];
}

/** Ripple from here on is a diode or a leg, not the waves of a sound one; volts of twelve. */
const RIPPLE = 0.5;
const amps = (value: number) => `${value.toFixed(value < 10 ? 1 : 0)} A`;

/** Which of several to fit to this machine; best first. Money by the hour. */
export function compareAlternators(
  scene: Scene,
  of: readonly UsedAlternator[],
  ratePerHour: number,
): readonly Compared[] {
  const { fit } = scene.machine;
  const usual = makingOf('alternator', fit);
  const volts = 1.18 * fit.volts;
  const takes = wattsOf(fit) / fit.volts;
  return inOrder(
    of.map((one): Compared => {
      const wants: Want[] = wantsOf(one, 45);
      const ripples = (one.rippleVolts ?? 0) > (RIPPLE * fit.volts) / 12;
      if (ripples) wants.push({ what: 'a diode plate, or a phase of its stator', minutes: 70, money: 45, chance: 1 });
      const found = windingFrom(fit, one.outputs);
      const cost = costOf(one.price, wants, ratePerHour);
      const problem = found
        ? undefined
        : one.outputs.length > 1
          ? 'Its figures contradict each other: measure both speeds again, into the same volts.'
          : 'No such machine gives that: check speed, volts and amperes.';
      if (!found) return { name: one.name, cost, wants, does: false, why: [], problem };
      const gives = (engine: number) => {
        const rpm = engine * usual.ratio;
        const charger: Charger = {
          type: 'charger',
          id: 'used',
          a: 'a',
          b: 'b',
          sign: 1,
          winding: 'three',
          halfWave: false,
          emfVolts: found.voltsPerRpm * rpm,
          ohms: usual.ohms,
          reactanceOhms: found.reactancePerRpm * rpm,
          diodeVolts: usual.diodeVolts,
          setVolts: volts,
          droopOhms: 0.012,
        };
        return Math.max(0, chargerCan(charger, volts).amps);
      };
      const [idle, fast] = [gives(engineRpm(fit)), gives(engineRpm(fit, 'fast'))];
      return {
        name: one.name,
        cost,
        wants,
        does: fast > takes && !ripples,
        why: [
          `On this engine it gives ${amps(idle)} idling and ${amps(fast)} at speed; ${amps(takes)} are taken.`,
          ...(fast <= takes ? ['It never carries what this machine takes.'] : []),
          ...(fast > takes && idle < takes ? ['Idling with all on, the battery gives the rest.'] : []),
          ...(ripples
            ? [`${one.rippleVolts} V of ripple: a diode or a phase is gone, it is not to be fitted so.`]
            : []),
        ],
        problem,
      };
    }),
  );
}
