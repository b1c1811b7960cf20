import { CRANKING } from '../trails/checks.ts';
import { triggerPeak } from '../trails/spark/generated.ts';
import { type Scene } from '../machine/scene.ts';
import type { Element } from '../network/index.ts';

const SOURCE = 'told';
const SHOWN = 'trg-in';
/** Half the time between a pick-up's two swings while cranking, and that in which a vane uncovers a sensor. Seconds. */
const SWING = 0.45e-3;
const UNCOVERS = 20e-6;
/** The signal wire and what listens at its end, farads. */
const WIRE_FARADS = 2e-9;
const CORNERS = 120;

/** How the trigger tells, as a circuit to be run about the moment at which it does, in the middle of `seconds`. */
export interface TriggerPlan {
  readonly elements: readonly Element[];
  readonly node: string;
}

/**
 * The signal where module or pack meets it. A tooth that passes a pick-up lets its flux rise and fall like a bell, and
 * the winding gives the bell's slope: up, through nothing at the moment, down. A sensor lets its signal go, or pulls it.
 * Nothing on a machine without a trigger of its own.
 */
export function triggerPlan(scene: Scene, seconds: number): TriggerPlan | undefined {
  const has = (id: string) => scene.machine.parts.some((p) => p.id === id);
  const middle = seconds / 2;
  const plan = (ohms: number, points: (readonly [number, number])[]): TriggerPlan => ({
    node: SHOWN,
    elements: [
      {
        type: 'voltage',
        id: SOURCE,
        a: SOURCE,
        b: '0',
        volts: points[0]![1],
        wave: { kind: 'corners', points },
      },
      { type: 'resistor', id: 'through', a: SOURCE, b: SHOWN, ohms: Math.max(1, ohms) },
      { type: 'capacitor', id: 'wire', a: SHOWN, b: '0', farads: WIRE_FARADS },
    ],
  });
  if (has('trigger')) {
    const { volts, ohms } = triggerPeak(scene, CRANKING, SHOWN);
    const slope = (t: number) => -volts * (t / SWING) * Math.exp(0.5 - (t / SWING) ** 2 / 2);
    return plan(
      ohms,
      Array.from({ length: CORNERS + 1 }, (_, k) => {
        const at = (seconds * k) / CORNERS;
        return [at, slope(at - middle)] as const;
      }),
    );
  }
  if (!has('sensor')) return undefined;
  const level = (points: 'open' | 'closed') => {
    const solved = scene.solve({ ...CRANKING, points });
    return { volts: solved.volts(SHOWN) - solved.volts('block'), ohms: solved.outputOhms(SHOWN, 'block') };
  };
  const [before, after] = [level('closed'), level('open')];
  return plan(after.ohms, [
    [0, before.volts],
    [middle, before.volts],
    [middle + UNCOVERS, after.volts],
  ]);
}
