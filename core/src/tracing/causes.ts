import type { Complaint, JobEvent } from '../schema/job.ts';
import { AGE_WEIGHT, causesOf, names, type CauseSpec } from '../machine/cause.ts';
import { CAUSES } from '../trails/causes.ts';
import { tell } from './events.ts';
import { evidenceOf } from './settingEvidence.ts';
import type { ModelFault } from './model.ts';
import type { Tracer } from './trace.ts';
import type { Check } from '../trails/checks.ts';

export interface JudgedCause {
  readonly spec: CauseSpec;
  /** Share of belief among these causes and plain age, from the readings made so far. */
  readonly share: number;
  /** The check that tells most about it for its minutes, if the model has one. */
  readonly check: Check | undefined;
}

/** What the fault may have hurt in turn: faults that name it among their causes, with the check that would tell. */
export interface Hurt {
  readonly fault: ModelFault;
  readonly check: Check | undefined;
}

export interface Causes {
  readonly fault: ModelFault;
  readonly hurt: readonly Hurt[];
  readonly causes: readonly JudgedCause[];
  readonly age: number;
}

/** log p(all readings | these faults), means over severity. */
function logOfStory(
  tracer: Tracer,
  faults: readonly ModelFault[],
  complaint: Complaint,
  events: readonly JobEvent[],
): number {
  let log = 0;
  for (const placed of tell(evidenceOf(tracer.model, events)).readings) {
    const { reading, repaired } = placed;
    const check = tracer.weigher.check(reading.checkId);
    if (!check) continue;
    const seen = faults.filter((f) => !repaired.has(f.repairId));
    const logs = tracer.weigher.readingLogs(seen, placed, check, complaint);
    log += Math.log(logs.reduce((sum, l) => sum + Math.exp(l), 0) / logs.length);
  }
  return log;
}

/** The check whose predicted readings differ most, for its minutes, between the cause being there and not. */
export function tellingCheck(tracer: Tracer, cause: readonly ModelFault[]): Check | undefined {
  let best: { check: Check; score: number } | undefined;
  for (const check of tracer.model.checks) {
    const score = tracer.separation([], cause, check) / check.minutes;
    if (score > (best?.score ?? 0.05)) best = { check, score };
  }
  return best?.check;
}

const HURT_SHOWN = 4;
/** Each part once, the likeliest first. */
function mayHaveHurt(tracer: Tracer, fault: ModelFault): Hurt[] {
  const hurt = tracer.model.faults
    .filter(
      (f) =>
        f.part.id !== fault.part.id &&
        causesOf(CAUSES, f, tracer.model.machine.fit).some((spec) => names(spec, fault, f)),
    )
    .sort((a, b) => b.weight - a.weight);
  const parts = [...new Map([...hurt].reverse().map((f) => [f.part.id, f])).values()].reverse();
  return parts.slice(0, HURT_SHOWN).map((f) => ({ fault: f, check: tellingCheck(tracer, [f]) }));
}

/** Why did this part fail? Each cause weighed by the readings already made, with the check that would tell. */
export function traceCauses(
  tracer: Tracer,
  faultId: string,
  complaint: Complaint,
  events: readonly JobEvent[],
): Causes | undefined {
  const fault = tracer.model.faults.find((f) => f.id === faultId);
  if (!fault) return undefined;
  const alone = logOfStory(tracer, [fault], complaint, events);
  const candidates = causesOf(CAUSES, fault, tracer.model.machine.fit).map((spec) => {
    const faults = tracer.model.faults.filter((f) => names(spec, f, fault) && f.part.id !== fault.part.id);
    const gain = faults.map((f) => Math.exp(logOfStory(tracer, [fault, f], complaint, events) - alone));
    const mean = gain.length ? gain.reduce((a, b) => a + b, 0) / gain.length : 1;
    return { spec, weight: spec.weight * mean, faults, gain };
  });
  const usable = candidates.filter((c) => c.spec.faults.length === 0 || c.faults.length > 0);
  const total = usable.reduce((sum, c) => sum + c.weight, AGE_WEIGHT);
  return {
    fault,
    hurt: mayHaveHurt(tracer, fault),
    age: AGE_WEIGHT / total,
    causes: usable
      .map(({ spec, weight, faults, gain }) => {
        const leading = faults[gain.indexOf(Math.max(...gain))];
        return { spec, share: weight / total, check: leading && tellingCheck(tracer, [leading]) };
      })
      .sort((a, b) => b.share - a.share),
  };
}
