import { repairsView } from '@pondu/core';
import { describe, expect, it } from 'vitest';
import { tracer } from '../__tests__/support.tsx';
import { repairNames } from './repairs.ts';

describe('names of repairs in a list', () => {
  it('no two of a machine are called alike, and what is one of its kind keeps its plain name', () => {
    const repairs = repairsView(tracer.model);
    const names = repairs.map(repairNames(repairs));
    expect(new Set(names).size).toBe(names.length);
    expect(names).toContain('Replace the coil');
    expect(names.filter((n) => /: plug lead \d$|: lead \d$/.test(n)).length).toBeGreaterThan(1);
  });
});
