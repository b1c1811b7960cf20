import { describe, expect, it } from 'vitest';
import { adapterReading } from '../ignition/index.ts';
import { shownOnWave } from './onWave.ts';

const at = Float64Array.from({ length: 4001 }, (_, i) => i / 2000);
const of = (f: (t: number) => number) => ({ at, values: at.map(f) });
const sine = of((t) => 4 + 10 * Math.sin(2 * Math.PI * t));

describe('a meter on a voltage that moves', () => {
  it('shows the mean on DC and 0.707 of the swing on AC', () => {
    expect(shownOnWave('DC volts', sine, 0, 2)).toBeCloseTo(4, 4);
    expect(shownOnWave('AC volts', sine, 0, 2)).toBeCloseTo(10 / Math.SQRT2, 3);
  });
  it('holds the least and the most', () => {
    expect(shownOnWave('minimum', sine, 0, 2)).toBeCloseTo(-6, 3);
    expect(shownOnWave('maximum', sine, 0, 2)).toBeCloseTo(14, 3);
  });
  it('on pulses of a tenth of the time shows a tenth on DC', () => {
    expect(
      shownOnWave(
        'DC volts',
        of((t) => (t % 1 < 0.1 ? 12 : 0)),
        0,
        2,
      ),
    ).toBeCloseTo(1.2, 1);
  });
  it('through the adapter shows what the adapter’s own circuit settles at', () => {
    const elements = [
      {
        type: 'voltage',
        id: 'e',
        a: 'out',
        b: '0',
        volts: 0,
        wave: { kind: 'sine', offset: 0, amplitude: 100, hertz: 25, delay: 0, damping: 0 },
      },
      { type: 'resistor', id: 'load', a: 'out', b: '0', ohms: 1e5 },
    ] as const;
    const solved = adapterReading({ elements, couplings: [] }, 'out', 0.6, 0.1);
    const shown = shownOnWave(
      'peak adapter',
      of((t) => 100 * Math.sin(2 * Math.PI * 25 * t)),
      0,
      0.4,
    );
    // Between two peaks the meter's 10 MΩ takes some of it.
    expect(Math.abs(shown / solved - 1)).toBeLessThan(0.06);
  });
});
