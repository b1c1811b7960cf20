import { describe, expect, it } from 'vitest';
import { house, machine } from '../__tests__/machines.ts';
import { readTyped } from './readTyped.ts';
import { Tracer } from './trace.ts';

const { weigher } = new Tracer(machine(), house);
const check = (id: string) => weigher.check(id)!;

describe('a reading as typed, in the terms of its check', () => {
  it('reads figures, OL and words', () => {
    expect(readTyped(check('battery-rest'), '12,6')).toEqual({ ok: true, value: { kind: 'number', value: 12.6 } });
    expect(readTyped(check('coil-primary'), 'OL')).toEqual({ ok: true, value: { kind: 'open' } });
    expect(readTyped(check('spark-coil-lead'), 'Weak')).toEqual({ ok: true, value: { kind: 'word', word: 'weak' } });
  });
  it('refuses what does not belong', () => {
    expect(readTyped(check('battery-rest'), '12 ohm')).toMatchObject({
      ok: false,
      failure: { code: 'wrong-dimension' },
    });
    expect(readTyped(check('spark-coil-lead'), 'purple')).toMatchObject({ ok: false, failure: { code: 'not-a-word' } });
  });
});
