import type { Complaint, JobEvent } from '../schema/job.ts';
import type { Check } from '../trails/checks.ts';
import type { ModelFault } from './model.ts';
import { ruler, type Ruler } from './ruler.ts';
import { faultShares } from './suspects.ts';
import type { Tracer } from './trace.ts';

/** Suspects that the check tells from a sound machine, shown on its ruler. */
const TOLD_APART = 5;
/** Leading ones that it does not: the ruler says so in a line. */
const AS_WELL = 3;
/** A smaller share of belief is no suspect. */
const SUSPECTED = 0.002;

/** Those of the suspects that this check tells from a sound machine, and the leading ones that it does not. */
export function toldApart(tracer: Tracer, complaint: Complaint, events: readonly JobEvent[], check: Check) {
  const sound = tracer.weigher.ensemble([]).predict(check);
  const shares = [...faultShares(tracer.belief(complaint, events))]
    .filter(([, share]) => share >= SUSPECTED)
    .sort((a, b) => b[1] - a[1])
    .map(([fault]) => fault);
  const asWell = (fault: ModelFault) => tracer.weigher.ensemble([fault]).predict(check) === sound;
  return {
    told: shares.filter((f) => !asWell(f)).slice(0, TOLD_APART),
    asWell: shares.filter(asWell).slice(0, AS_WELL),
  };
}

/** The ruler of a check in a job: suspects that it separates, the leading ones that it does not, and any `added`. */
export function jobRuler(
  tracer: Tracer,
  complaint: Complaint,
  events: readonly JobEvent[],
  check: Check,
  added: readonly string[] = [],
): Ruler {
  const { told, asWell } = toldApart(tracer, complaint, events, check);
  const asked = tracer.model.faults.filter((f) => added.includes(f.id));
  return ruler(tracer.weigher, check, [...new Set([...asked, ...told, ...asWell])]);
}
