import { causesOf, names } from '../machine/cause.ts';
import type { JobEvent } from '../schema/job.ts';
import type { ModelFault } from '../tracing/model.ts';
import type { Tracer } from '../tracing/trace.ts';
import { tellingCheck } from '../tracing/causes.ts';
import { CAUSES } from '../trails/causes.ts';

/** Checks that a repair asks for by itself, whatever failed before: by the trail or the kind of part that it touched. */
const ASKED: readonly { readonly of: (fault: ModelFault) => boolean; readonly checks: readonly string[] }[] = [
  // What charges, and a battery that stood flat or boiled: only volts at both speeds tell that it is well again.
  {
    of: ({ trail, part }) => trail === 'charge' || part.kind.kind === 'battery',
    checks: ['charge-idle', 'charge-fast'],
  },
  // Wiring that was remade may have been put where it is always live.
  {
    of: ({ part }) => ['wire', 'ignition switch', 'fuse', 'module feed'].includes(part.kind.kind),
    checks: ['supply-gone'],
  },
];

/** Ids of checks that the repairs done ask for, and those that tell whether a cause that was found is gone. */
export function demands(tracer: Tracer, events: readonly JobEvent[]): { repair: string[]; cause: string[] } {
  const { model } = tracer;
  const repaired = new Set(events.flatMap((e) => (e.type === 'fix' ? [e.fix.repairId] : [])));
  const mended = model.faults.filter((f) => repaired.has(f.repairId));
  const repair = ASKED.filter(({ of }) => mended.some(of)).flatMap(({ checks }) => checks);
  const cause = events.flatMap((e) => {
    if (e.type !== 'cause' || e.cause.found !== 'found') return [];
    const fault = model.faults.find((f) => f.id === e.cause.faultId);
    const spec = fault && causesOf(CAUSES, fault, model.machine.fit).find((c) => c.label === e.cause.cause);
    if (!spec) return [];
    const behind = model.faults.filter((f) => names(spec, f, fault) && f.part.id !== fault.part.id);
    return behind.slice(0, 1).flatMap((f) => tellingCheck(tracer, [f])?.id ?? []);
  });
  return { repair: [...new Set(repair)], cause: [...new Set(cause)] };
}
