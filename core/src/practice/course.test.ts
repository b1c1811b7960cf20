import { describe, expect, it } from 'vitest';
import { houseSchema } from '../schema/house.ts';
import { storedMachineSchema } from '../schema/upgrade.ts';
import { Tracer } from '../tracing/trace.ts';
import { COURSE } from './course.ts';
import { deal } from './deal.ts';

const house = houseSchema.parse({});
const tracers = new Map<string, Tracer>();
const tracerFor = (lesson: (typeof COURSE)[number]) => {
  const known = tracers.get(lesson.machine.name) ?? new Tracer(lesson.machine, house);
  tracers.set(lesson.machine.name, known);
  return known;
};

describe('the course', () => {
  it('is twelve lessons in an order, on machines that could be stored', () => {
    expect(COURSE.map((l) => l.n)).toEqual(Array.from({ length: 12 }, (_, k) => k + 1));
    for (const { machine } of COURSE) expect(storedMachineSchema.parse(machine)).toEqual(machine);
  });
  it.each(COURSE.map((l) => [l.n, l] as const))('lesson %i is complained of, and can be found', (_, lesson) => {
    const { machine, faults, twists, seed, symptom, n } = lesson;
    const dealt = deal({ machine, house, twists, seed, faults, symptom, course: n }, tracerFor(lesson));
    expect(dealt.truth.faults.map((f) => f.id)).toEqual(faults);
    expect(dealt.lesson.complaint.symptom).toBe(symptom);
    expect(dealt.lesson.complaint.words).not.toBe('');
    const fitted = dealt.truth.best.filter((s) => s.kind === 'fit').map((s) => s.ref);
    for (const { repairId } of dealt.truth.faults) expect(fitted).toContain(repairId);
  });
});
