import { describe, expect, it } from 'vitest';
import { EVERY_KIND } from '../__tests__/everyKind.ts';
import { house } from '../__tests__/machines.ts';
import { INSTRUMENTS } from '../instruments/index.ts';
import type { JobEvent } from '../schema/job.ts';
import type { ModelFault } from './model.ts';
import { Tracer } from './trace.ts';

/** The middle of a fault: the fourth of eight members. */
const MEMBER = 3;
const NEAR = 1e-9;

/** Parts of one kind that all fail in the same way: what no part fails in alone. */
function alike(faults: readonly ModelFault[]): ModelFault[][] {
  const groups = new Map<string, ModelFault[]>();
  for (const fault of faults) {
    const of = `${fault.part.kind.kind} ${fault.mode.id}`;
    groups.set(of, [...(groups.get(of) ?? []), fault]);
  }
  return [...groups.values()].filter((group) => group.length > 1);
}

describe.each(EVERY_KIND)('%s', (_name, body) => {
  it('says words whose chances add up to one, whatever fails together', () => {
    const { weigher } = new Tracer(body, house);
    const { checks, faults } = weigher.model;
    const wrong: string[] = [];
    for (const group of [[], ...faults.map((f) => [f]), ...alike(faults)]) {
      const scene = weigher.ensemble(group).scene(MEMBER);
      for (const check of checks) {
        if (INSTRUMENTS[check.instrument].dimension !== undefined) continue;
        if (group.length === 1 && !scene.touches(weigher.ensemble(group).dependsOn(check))) continue;
        const said = INSTRUMENTS[check.instrument].observe(scene, check);
        const shares = said.kind === 'category' ? Object.values(said.shares) : [];
        const sum = shares.reduce((a, b) => a + b, 0);
        if (!(Math.abs(sum - 1) < NEAR) || shares.some((p) => !(p >= 0)))
          wrong.push(`${check.id} with ${group.map((f) => f.id).join(' and ')}: ${sum.toFixed(3)}`);
      }
    }
    expect(wrong).toEqual([]);
  });
});

describe('a twin whose plugs fail alike', () => {
  const twin = EVERY_KIND.find(([, { fitOut }]) => fitOut.cylinders === 2)![1];
  const { weigher } = new Tracer(twin, house);
  const look = weigher.check('look-plugs')!;
  const read = (word: string): JobEvent => ({
    type: 'reading',
    reading: {
      id: 'r',
      checkId: look.id,
      value: { kind: 'word', word },
      typed: word,
      note: '',
      at: '2026-01-01T00:00:00Z',
      warmth: 'unknown',
      faultPresent: 'yes',
    },
  });
  const complaint = { symptom: 'misses', pattern: 'constant', words: '', since: '', before: '' } as const;
  it.each(look.words!)('is believed something of after "%s"', (word) => {
    const { weighed, outside } = weigher.weighAll(complaint, [read(word)]);
    expect(weighed.reduce((sum, w) => sum + w.mass, outside)).toBeCloseTo(1, 9);
  });
});
