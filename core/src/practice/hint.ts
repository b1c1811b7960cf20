import type { Hint } from '../schema/practice.ts';
import type { Complaint, Conditions, JobEvent } from '../schema/job.ts';
import type { TrailName } from '../schema/symptoms.ts';
import { faultShares } from '../tracing/suspects.ts';
import type { Tracer } from '../tracing/trace.ts';

const NONE: Hint = { step: 'none' };

/**
 * Advice from what this learner has read, never from what is hidden: which trail, then which half of it, then which
 * check. `step` counts hints since the last move, from 1.
 */
export function hintFor(
  tracer: Tracer,
  complaint: Complaint,
  events: readonly JobEvent[],
  now: Conditions,
  step: number,
): Hint {
  const { verdict, ranked, trails } = tracer.trace(complaint, events, now);
  const told = tracer.model.machine.trails;
  const trail = trails.find((t) => told.some((own) => own.id === t.trail))?.trail;
  if (step === 1) return trail ? { step: 'trail', trail } : NONE;
  if (step === 2) return trail ? half(tracer, complaint, events, trail) : NONE;
  if (verdict.kind === 'fix') return { step: 'repair', repairId: verdict.repair.id, label: verdict.repair.label };
  const check = verdict.kind === 'second check' ? verdict.check : ranked[0]?.check;
  return check ? { step: 'check', checkId: check.id, label: check.label } : NONE;
}

/** Towards its source or towards where it is used: on which side of the trail's middle more of the belief lies. */
function half(tracer: Tracer, complaint: Complaint, events: readonly JobEvent[], trail: TrailName): Hint {
  const stations = tracer.model.machine.trails.find((t) => t.id === trail)!.stations;
  const middle = Math.floor(stations.length / 2);
  const shares = [...faultShares(tracer.belief(complaint, events))].filter(([f]) => f.trail === trail);
  const before = shares.filter(([f]) => stations.findIndex((s) => s.id === f.part.station) < middle);
  const sum = (of: typeof shares) => of.reduce((s, [, share]) => s + share, 0);
  return {
    step: 'half',
    trail,
    half: sum(before) >= sum(shares) / 2 ? 'source' : 'use',
    station: stations[middle]!.label,
  };
}
