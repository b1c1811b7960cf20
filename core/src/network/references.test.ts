import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { solveOperatingPoint } from './operatingPoint.ts';
import type { Element } from './types.ts';

/** Circuits solved by an independent simulator; see the `.cir` beside each `.json`. */
interface Reference {
  expect: { quantity: string; value: number; relTol: number; absTol: number }[];
}
const folder = join(import.meta.dirname, 'references');

/**
 * The cards of the operating-point references, as far as these use them: R, L, C, V, I, D, S with their models.
 * A switch's control is a fixed source, so it is open or closed from the start.
 */
function elementsOf(file: string): Element[] {
  const lines = readFileSync(join(folder, file), 'utf8')
    .split('\n')
    .filter((l) => l.trim() && !l.startsWith('*'));
  const models = new Map<string, Record<string, number>>();
  for (const line of lines) {
    const model = /^\.model\s+(\S+)\s+\w+\((.*)\)/i.exec(line);
    if (model)
      models.set(
        model[1]!,
        Object.fromEntries(model[2]!.split(/\s+/).map((kv) => [kv.split('=')[0]!, Number(kv.split('=')[1])])),
      );
  }
  const fixed = new Map<string, number>();
  for (const line of lines) {
    const [name, a, , , value] = line.split(/\s+/);
    if (name!.startsWith('V')) fixed.set(a!, Number(value));
  }
  return lines
    .filter((l) => !l.startsWith('.'))
    .map((line): Element => {
      const w = line.trim().split(/\s+/);
      const [id, a, b] = [w[0]!.toLowerCase(), w[1]!, w[2]!];
      const last = Number(w[w.length - 1]);
      switch (id[0]) {
        case 'r':
          return { type: 'resistor', id, a, b, ohms: last };
        case 'l':
          return { type: 'inductor', id, a, b, henries: last };
        case 'c':
          return { type: 'capacitor', id, a, b, farads: last };
        case 'v':
          return { type: 'voltage', id, a, b, volts: last };
        case 'i':
          return { type: 'current', id, a, b, amps: last };
        case 'd': {
          const m = models.get(w[3]!)!;
          return { type: 'diode', id, a, b, saturationAmps: m['IS']!, emission: m['N']!, seriesOhms: m['RS'] ?? 0 };
        }
        case 's': {
          const m = models.get(w[5]!)!;
          return {
            type: 'switch',
            id,
            a,
            b,
            closed: fixed.get(w[3]!)! > m['VT']!,
            onOhms: m['RON']!,
            offOhms: m['ROFF']!,
          };
        }
        default:
          throw new Error(`Card ${line}`);
      }
    });
}

describe.each([
  's01_op_12v_closed_and_corroded',
  's02_op_12v_points_open_test_lamp',
  's03_op_6v_positive_earth',
  's04_op_ohmmeter_parallel_path',
  's05_op_starter_bad_earth_strap',
])('%s', (name) => {
  const at = solveOperatingPoint(elementsOf(`${name}.cir`));
  const reference = JSON.parse(readFileSync(join(folder, `${name}.json`), 'utf8')) as Reference;
  it.each(reference.expect)('$quantity = $value', ({ quantity, value, relTol, absTol }) => {
    if (!at.ok) throw new Error(at.code);
    const [, kind, of] = /^([vi])\((.*)\)$/.exec(quantity)!;
    const got = kind === 'v' ? at.volts(of!) : at.amps(of!.toLowerCase());
    expect(Math.abs(got - value)).toBeLessThanOrEqual(Math.max(absTol, relTol * Math.abs(value)));
  });
});
