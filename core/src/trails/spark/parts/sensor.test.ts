import { describe, expect, it } from 'vitest';
import { EVERY_KIND } from '../../../__tests__/everyKind.ts';
import { house } from '../../../__tests__/machines.ts';
import { complaintLikelihood } from '../../../engine/complaint.ts';
import { middleScene } from '../../../tracing/middle.ts';
import { buildModel } from '../../../tracing/model.ts';
import type { SymptomId } from '../../../schema/symptoms.ts';

const sensed = EVERY_KIND.map(([name, body]) => [name, buildModel(body, house)] as const).filter(([, model]) =>
  model.faults.some((f) => f.id === 'sensor.dirty'),
);

describe('a sensor that is dirty', () => {
  it('is tried on some kind', () => expect(sensed.length).toBeGreaterThan(0));
  it.each(sensed)('%s: misses edges before it sees none', (_name, model) => {
    const dirty = model.faults.find((f) => f.id === 'sensor.dirty')!;
    const brings = (severity: number, symptom: SymptomId) =>
      complaintLikelihood(middleScene(model, dirty, severity), {
        symptom,
        pattern: 'constant',
        words: '',
        since: '',
        before: '',
      });
    expect(brings(0.15, 'misses')).toBeGreaterThan(0.3);
    expect(brings(0.15, 'no-fire')).toBeLessThan(0.2);
    expect(brings(0.9, 'no-fire')).toBeGreaterThan(0.8);
    expect(brings(0.9, 'misses')).toBeLessThan(0.05);
  });
});
