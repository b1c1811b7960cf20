import type { Element } from '../network/index.ts';
import { logistic } from '../random/lcg.ts';
import type { Scene } from '../machine/scene.ts';
import type { Check } from '../machine/check.ts';
import type { Instrument, Outcome } from './instrument.ts';

/** 3 W filament at the machine's own voltage: 48 Ω hot at 12 V. */
const TEST_LAMP_WATTS = 3;

function glow(
  scene: Scene,
  check: Check,
  probe: (live: string, earth: string) => Element[],
  points: 'open' | 'closed',
): number {
  if (check.probe.kind !== 'across') throw new TypeError('A lamp needs two nodes');
  const { live, earth } = check.probe;
  const state = { ...check.state, points };
  if (!scene.has(state, live)) return 0;
  const at = scene.solveWith(state, probe(live, earth));
  return Math.abs(at.volts(live) - at.volts(earth)) / scene.machine.fit.volts;
}

/** Words from brightness with the points open and closed, as shares of the rated voltage. */
function lampWords(turning: boolean, open: number, closed: number): Outcome {
  const lit = (share: number) => logistic((share - 0.35) / 0.05);
  if (turning) {
    const [o, c] = [lit(open), lit(closed)];
    return {
      kind: 'category',
      shares: { flashes: o * (1 - c) + c * (1 - o), 'lit steadily': o * c, out: (1 - o) * (1 - c) },
    };
  }
  const bright = logistic((closed - 0.72) / 0.04);
  const out = 1 - lit(closed);
  return { kind: 'category', shares: { bright, dim: Math.max(0, 1 - bright - out), out } };
}

function lamp(
  id: 'test lamp' | 'LED lamp',
  label: string,
  element: (volts: number, live: string, earth: string) => Element[],
): Instrument {
  return {
    id,
    label,
    words: ['bright', 'dim', 'out', 'flashes', 'lit steadily'],
    observe(scene, check) {
      const probe = (live: string, earth: string) => element(scene.machine.fit.volts, live, earth);
      const turning = check.state.points === 'turning';
      const fixed = check.state.points === 'open' ? 'open' : 'closed';
      return lampWords(
        turning,
        turning ? glow(scene, check, probe, 'open') : 0,
        glow(scene, check, probe, turning ? 'closed' : fixed),
      );
    },
    error: () => 0,
  };
}

/** Loads the circuit and so shows a joint that carries nothing. */
export const testLamp = lamp('test lamp', 'Test lamp (filament)', (volts, a, b) => [
  { type: 'filament', id: 'probe', a, b, hotOhms: volts ** 2 / TEST_LAMP_WATTS, ratedVolts: volts },
]);

/** 680 Ω and 2 V either way round: kind to electronics, and no load on a bad joint. */
export const ledLamp = lamp('LED lamp', 'LED test lamp', (_volts, a, b) => [
  { type: 'diode', id: 'probe', a, b, saturationAmps: 1e-18, emission: 2, seriesOhms: 680 },
  { type: 'diode', id: 'probe.back', a: b, b: a, saturationAmps: 1e-18, emission: 2, seriesOhms: 680 },
]);
