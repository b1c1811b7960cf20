import { describe, expect, it } from 'vitest';
import { buildModel } from '../tracing/model.ts';
import { EVERY_KIND } from './everyKind.ts';
import { house } from './machines.ts';

/** A word that stands twice, one after the other. */
const TWICE = /\b([a-zé’]{2,})\s+\1\b/i;
/** A thing that stands for itself, or two names put together by a machine. */
const GLUED = /\b([a-zé]{3,}) for \1\b|^(Drop over|Interlock):|, coil$|machine itself/i;

/** What stands in brackets belongs into the sentence, or nowhere. */
const BRACKETS = /[([]/;

describe.each(EVERY_KIND)('labels of %s', (_name, body) => {
  const model = buildModel(body, house);
  it('a part and how it failed read as one: no word twice, nothing that is “its”, no part’s id', () => {
    for (const { part, mode } of model.faults) {
      const said = `${part.label} ${mode.label}`;
      expect(mode.label).not.toMatch(/^(its|it|they)\b|: (it|they)\b/);
      expect(said).not.toMatch(TWICE);
      expect(said).not.toMatch(BRACKETS);
      if (part.id.includes('-')) expect(said).not.toContain(part.id);
    }
  });
  it('a check is named as one would say it: nothing glued, no word twice, no part’s id; what to set and what to watch', () => {
    for (const { label, set, watch } of [...model.checks, ...model.beyond]) {
      expect(label).not.toMatch(GLUED);
      expect(label).not.toMatch(TWICE);
      expect(label).not.toMatch(BRACKETS);
      for (const { id } of model.machine.parts) if (id.includes('-')) expect(label).not.toContain(id);
      expect(set.trim(), label).not.toBe('');
      expect(watch.trim(), label).not.toBe('');
    }
  });
  it('a repair says what is done, and no word twice', () => {
    for (const { label } of model.repairs.values()) {
      expect(label).toMatch(/^[A-Z]/);
      expect(label).not.toMatch(BRACKETS);
      expect(label).not.toMatch(TWICE);
    }
  });
});
