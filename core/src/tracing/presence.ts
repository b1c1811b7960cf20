import type { Complaint, Conditions } from '../schema/job.ts';
import { partCelsius, showsAt } from './heat.ts';
import type { ModelFault } from './model.ts';

/** Chance that a fault that comes and goes shows itself while nobody knows whether it is there. */
const UNKNOWN_SHOWS = 0.5;
/** A pass while the machine ran well proves almost nothing. */
const ABSENT_SHOWS = 0.02;
const HEAT = { hot: 0.85, cold: 0.12, unknown: 0.4 } as const;
/** Of what is there only cold: nobody who says nothing of it measures a warm engine for that. */
const COLD = { hot: 0.08, cold: 0.9, unknown: 0.6 } as const;

/** s: the chance that the fault was there when the reading was taken. p(x|f) = s·p(x|there) + (1−s)·p(x|sound). */
export function shows(complaint: Complaint, conditions: Conditions): number {
  if (conditions.faultPresent === 'yes') return 1;
  // A soak that did not bring it on is worth what the heat would have shown.
  if (complaint.pattern === 'hot' && conditions.soakMinutes !== undefined)
    return showsAt(partCelsius(conditions.soakMinutes));
  if (conditions.faultPresent === 'no') return ABSENT_SHOWS;
  if (complaint.pattern === 'constant') return 1;
  if (complaint.pattern === 'cold') return COLD[conditions.warmth];
  return complaint.pattern === 'hot' ? HEAT[conditions.warmth] : UNKNOWN_SHOWS;
}

const MATCH = 3;
const MISMATCH = 0.5;
/** Owners do not always say when it comes. */
const LEFT_UNSAID = 0.25;

/** How the pattern of the complaint weighs a fault: heat brings out some, damp or shaking others. */
export function patternWeight(complaint: Complaint, fault: ModelFault): number {
  const wanted = { constant: undefined, hot: 'heat', cold: 'cold', damp: 'damp', 'now-and-then': 'shaking' }[
    complaint.pattern
  ];
  if (wanted === undefined) return fault.mode.never === 'without' ? LEFT_UNSAID : 1;
  return fault.mode.comesWith === wanted ? MATCH : MISMATCH;
}
