import { buildModel } from '@pondu/core';
import { houseSchema, SPARK_KINDS, storedMachineSchema } from '@pondu/core/schema';
import { describe, expect, it } from 'vitest';
import { fitOutWords } from './fitOutWords.ts';
import { ANSWERS, answersOf, asks, kindOf, LEAVES, optionsAfter, questionAfter } from './sight.ts';

describe('a kind by what one sees', () => {
  it('leads to every kind that Pondu knows', () => {
    expect(new Set(LEAVES.map((l) => l.kind.layout))).toEqual(new Set(SPARK_KINDS));
  });
  it('never offers a question with a single answer, and ends at one kind', () => {
    for (const { answers } of LEAVES) {
      for (let depth = 0; depth < answers.length; depth++) {
        const before = answers.slice(0, depth);
        expect(optionsAfter(before).length, before.join()).toBeGreaterThan(1);
        expect(optionsAfter(before)).toContain(answers[depth]);
        expect(questionAfter(before)).toMatch(/\?$/);
        expect(ANSWERS[answers[depth]!].picture).toBeTruthy();
      }
      expect(optionsAfter(answers)).toEqual([]);
    }
  });
  it('finds its way back from a machine to the answers', () => {
    for (const leaf of LEAVES) expect(answersOf(leaf.kind)).toEqual(leaf.answers);
    // A machine stored before the module was asked about is taken to have it in the distributor.
    expect(answersOf({ layout: 'electronic' })).toEqual(['battery', 'cap', 'toothed', 'in-distributor']);
    expect(kindOf(['magnets', 'pack']).layout).toBe('capacitor-discharge');
  });
  it('asks no more than the kind has, and every number of cylinders it offers can be built', () => {
    const house = houseSchema.parse({});
    for (const { kind } of LEAVES)
      for (const cylinders of asks(kind.layout).cylinders) {
        const fitOut = {
          ...kind,
          volts: 12,
          earth: 'negative',
          cylinders,
          ballast: 'none',
          fused: true,
          compressionRatio: 8,
        };
        const { machineBody } = { machineBody: storedMachineSchema.parse({ name: 'x', kind: 'car', fitOut }) };
        const model = buildModel(machineBody, house);
        expect(model.checks.length, `${kind.layout} ${cylinders}`).toBeGreaterThan(10);
        expect(fitOutWords(machineBody.fitOut)).toContain(cylinders === 1 ? '1 cylinder' : `${cylinders} cylinders`);
      }
  });
});
