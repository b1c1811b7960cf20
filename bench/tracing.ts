import {
  HiddenMachine,
  minutesOf,
  seededRandom,
  Tracer,
  type Complaint,
  type House,
  type JobEvent,
  type MachineBody,
  type ModelFault,
  type Opening,
} from '@pondu/core';
import { choose, type Policy } from './policies.ts';

const NOW = { warmth: 'unknown', faultPresent: 'yes' } as const;
const MOST_CHECKS = 25;

export interface Run {
  fault: string;
  right: boolean;
  checks: number;
  minutes: number;
  named: string;
  recommendMs: number[];
}

/** The complaint that this machine would bring in: what the model finds likeliest of it. */
export function complaintOf(tracer: Tracer, fault: ModelFault): Complaint {
  const symptoms = ['no-fire', 'misses', 'hard-start'] as const;
  const complaint = (symptom: (typeof symptoms)[number]): Complaint => ({
    symptom,
    pattern: 'constant',
    words: '',
    since: '',
    before: '',
  });
  const best = symptoms
    .map((s) => ({ s, p: tracer.weigher.complaintShare([fault], complaint(s)) }))
    .sort((a, b) => b.p - a.p)[0]!;
  return complaint(best.s);
}

/** Traces one hidden machine to a verdict. */
export function run(tracer: Tracer, complaint: Complaint, fault: ModelFault, seed: number, policy: Policy): Run {
  const hidden = new HiddenMachine(tracer.model, [fault], seededRandom(seed));
  const events: JobEvent[] = [];
  const open = new Set<Opening>();
  let minutes = 0;
  const recommendMs: number[] = [];
  for (;;) {
    const started = performance.now();
    const belief = tracer.belief(complaint, events);
    const ranked = tracer.rank(belief, complaint, NOW);
    const verdict = tracer.verdict(belief, complaint, NOW, ranked);
    recommendMs.push(performance.now() - started);
    const done = verdict.kind !== 'check' || events.length >= MOST_CHECKS;
    const check = done ? undefined : choose(policy, tracer, belief, ranked);
    if (!check) {
      const named = verdict.kind === 'fix' ? verdict.repair.id : verdict.kind;
      return { fault: fault.id, right: named === fault.repairId, checks: events.length, minutes, named, recommendMs };
    }
    minutes += minutesOf(check, open);
    check.opens.forEach((o) => open.add(o));
    const id = String(events.length);
    const reading = {
      ...NOW,
      id,
      checkId: check.id,
      value: hidden.read(check),
      typed: '',
      note: '',
      at: '2026-01-01T00:00:00Z',
    };
    events.push({ type: 'reading', reading });
  }
}

export function makeTracer(machine: MachineBody, house: House): Tracer {
  return new Tracer(machine, house);
}
