import { fromRuler, INSTRUMENTS, toRuler } from '../instruments/index.ts';
import type { Complaint, JobEvent } from '../schema/job.ts';
import type { Check } from '../trails/checks.ts';
import { rulerWidth } from '../tracing/likelihood.ts';
import type { Tracer } from '../tracing/trace.ts';

export interface Hole {
  readonly checkId: string;
  readonly value: number;
  readonly outside: number;
}

/** From this belief in "something outside" on, one reading alone is explained by nothing. */
const UNEXPLAINED = 0.5;
/** More ohms than a meter shows, and more volts than this machine has: nobody reads them. */
const MOST_OHMS = 4e7;
const LEAST_VOLTS = -0.5;
const MOST_OF_SUPPLY = 1.3;

const readAs = (checkId: string, value: number): JobEvent => ({
  type: 'reading',
  reading: {
    id: 'swept',
    checkId,
    value: { kind: 'number', value },
    typed: '',
    note: '',
    at: '2026-01-01T00:00:00Z',
    warmth: 'unknown',
    faultPresent: 'yes',
  },
});

/** Whether any part that could be complained of so can make the check read otherwise at all. */
function speaks({ model, weigher }: Tracer, complaint: Complaint, check: Check): boolean {
  const sound = weigher.ensemble([]).predict(check);
  return model.faults.some(
    (f) => weigher.complaintShare([f], complaint) > COMPLAINED_FROM && weigher.ensemble([f]).predict(check) !== sound,
  );
}
/** A fault of which the complaint is rarer than this is not what a single reading is to be explained by. */
const COMPLAINED_FROM = 0.1;

function readable({ model, weigher }: Tracer, check: Check, value: number): boolean {
  const { dimension } = INSTRUMENTS[check.instrument];
  const supply = model.machine.fit.volts;
  if (dimension === 'resistance') return value >= 0 && value <= MOST_OHMS;
  if (dimension === 'voltage')
    return value >= LEAST_VOLTS && (value <= MOST_OF_SUPPLY * supply || weigher.bands.of(check).high > 2 * supply);
  return value >= 0 || dimension === 'pressure' || dimension === 'angle';
}

/**
 * Every check that shows a number, read by itself at so many places from far below its sound band to far above: where
 * belief in "something outside" passes half, no part explains what some part could read.
 */
export function holesOf(tracer: Tracer, complaint: Complaint, places: number): { swept: number; holes: Hole[] } {
  const { model, weigher } = tracer;
  const holes: Hole[] = [];
  let swept = 0;
  for (const check of model.checks) {
    const { dimension, limit } = INSTRUMENTS[check.instrument];
    if (!dimension || !speaks(tracer, complaint, check)) continue;
    const { low, high } = weigher.bands.of(check);
    const middle = !Number.isFinite(low) ? (limit ?? 1) : Number.isFinite(high) ? (low + high) / 2 : low;
    for (let k = 0; k < places; k++) {
      const off = ((2 * k) / (places - 1) - 1) * (rulerWidth(dimension) / 2);
      const value = fromRuler(toRuler(middle, dimension) + off, dimension);
      if (!readable(tracer, check, value)) continue;
      swept++;
      const { outside } = tracer.belief(complaint, [readAs(check.id, value)]);
      if (outside > UNEXPLAINED) holes.push({ checkId: check.id, value, outside });
    }
  }
  return { swept, holes };
}
