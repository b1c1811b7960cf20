import {
  HiddenMachine,
  seededRandom,
  TracerCache,
  type House,
  type JobEvent,
  type MachineBody,
  type Tracer,
} from '@pondu/core';
import { complaintOf } from '../tracing.ts';

/** Milliseconds of a machine's first trace, and of every recommendation over whole traces. */
export interface Timed {
  firstMs: number;
  recommendMs: number[];
  traces: number;
}

/** Whole traces are timed for this many faults, spread over the machine. */
const TRACES = 12;
const MOST = 25;
const NOW = { warmth: 'unknown', faultPresent: 'yes' } as const;

const COMPLAINT = { symptom: 'no-fire', pattern: 'constant', words: '', since: '', before: '' } as const;

/** A machine's first trace where the workshop has simulated it before: its text read, taken over and traced. */
export function timeRecalled(machine: MachineBody, house: House, text: string): number {
  const begun = performance.now();
  const cache = new TracerCache(1);
  if (!cache.recall(machine, house, text)) throw new Error('What was simulated is of another machine');
  cache.for(machine, house).trace(COMPLAINT, [], NOW);
  return performance.now() - begun;
}

/** The same in Node and in a browser's worker; `kept` holds what a tracer holds, for whoever measures memory. */
export function timeKind(machine: MachineBody, house: House): { timed: Timed; kept: Tracer } {
  const begun = performance.now();
  const cache = new TracerCache(1);
  const tracer = cache.for(machine, house);
  tracer.trace(COMPLAINT, [], NOW);
  const firstMs = performance.now() - begun;
  const recommendMs: number[] = [];
  const { faults } = tracer.model;
  let traces = 0;
  for (let k = 0; k < TRACES; k++) {
    const fault = faults[Math.floor((k * faults.length) / TRACES)]!;
    const hidden = new HiddenMachine(tracer.model, [fault], seededRandom(100 + k));
    const brought = complaintOf(hidden);
    if (!brought) continue;
    traces++;
    const events: JobEvent[] = [];
    for (;;) {
      const before = performance.now();
      const { verdict, ranked } = tracer.trace(brought, events, NOW);
      recommendMs.push(performance.now() - before);
      const check = verdict.kind === 'second check' ? verdict.check : ranked[0]?.check;
      if ((verdict.kind !== 'check' && verdict.kind !== 'second check') || !check || events.length >= MOST) break;
      events.push({
        type: 'reading',
        reading: {
          ...NOW,
          id: `${k}.${events.length}`,
          checkId: check.id,
          typed: '',
          note: '',
          at: '2026-01-01T00:00:00Z',
          value: hidden.read(check),
        },
      });
    }
  }
  return { timed: { firstMs, recommendMs, traces }, kept: tracer };
}

/** What the workshop simulates of a machine as soon as it is told, as text, and how long that takes. */
export function simulated(machine: MachineBody, house: House): { text: string; simulateMs: number } {
  const cache = new TracerCache(1);
  const begun = performance.now();
  cache.for(machine, house).weigher.simulate();
  return { simulateMs: performance.now() - begun, text: cache.simulated(machine, house) };
}
