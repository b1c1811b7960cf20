import { tell, type DrawnState, type JobEvent, type MachineBody, type Reading, type TrailId } from '@pondu/core';
import { useMemo, useState } from 'react';
import { useHouse, useJob, useMachine } from '../../api/hooks.ts';
import { useLaid } from '../../drawing/useLaid.ts';
import { useDrawing, useLeads, useLive, useModel, useTrace } from '../../tracer/useTracer.ts';
import { inputOf, nowOf } from '../job/jobInput.ts';
import { readingWords } from '../job/Log.tsx';

const MIDDLE = 0.5;
const isState = (text: string | null, states: readonly DrawnState[]): text is DrawnState =>
  states.some((s) => s === text);

/** The last reading of each check. */
const lastReadOf = (events: readonly JobEvent[]): Map<string, Reading> =>
  new Map(tell(events).readings.map(({ reading }) => [reading.checkId, reading]));

/** An address may be typed: what it names and the machine has not got is passed over. */
const trailIn = (params: URLSearchParams, machine: MachineBody | undefined): TrailId | undefined =>
  machine?.fitOut.trails.find((t) => t.trail === params.get('trail'))?.trail;
function shareIn(text: string | null): number {
  const typed = text === null ? MIDDLE : Number(text);
  return Number.isFinite(typed) ? Math.min(1, Math.max(0, typed)) : MIDDLE;
}

/** What the drawing shows: all of it stands in the page's address, but for the lead that waits for its tap. */
export function useDrawingPage(machineId: string | undefined, params: URLSearchParams) {
  const stored = useMachine(machineId);
  const house = useHouse().data?.house;
  const job = useJob(params.get('job') ?? undefined);
  const machine = stored.data?.id === machineId ? stored.data?.machine : undefined;
  const trail = trailIn(params, machine);
  const view = useDrawing(machine, house, trail);
  const laid = useLaid(view.data?.drawing);
  const input = job.data && machine && house ? inputOf(job.data, machine, house) : undefined;
  const model = useModel(input && machine, house);
  const trace = useTrace(input, job.data ? nowOf(job.data) : { warmth: 'unknown', faultPresent: 'yes' });
  const next = params.get('check') ?? trace.data?.ranked[0]?.id;
  const taken = useMemo(() => lastReadOf(job.data?.events ?? []), [job.data]);
  const all = useLeads(machine, house, input && next ? [next, ...taken.keys()] : []).data ?? [];
  const leads = all.find((l) => l.checkId === next);

  const checks = [...(model.data?.checks ?? []).map((c) => c.check), ...(trace.data?.probes ?? [])];
  const states = view.data?.states ?? [];
  const asked = params.get('state');
  const wanted = isState(asked, states) ? asked : leads?.state;
  const state = wanted && states.includes(wanted) ? wanted : (states.find((s) => s === 'on') ?? states[0] ?? 'off');
  const faultId = params.get('fault') ?? undefined;
  const fault = view.data?.faults.find((f) => f.id === faultId);
  const severity = shareIn(params.get('bad'));
  const live = useLive(machine, house, { state, trail, faultId, severity: fault?.graded ? severity : MIDDLE });

  const suspicion = useMemo(() => {
    const shares = new Map<string, number>();
    for (const { faultId, share } of trace.data?.suspects ?? []) {
      const part = view.data?.faults.find((f) => f.id === faultId)?.part;
      if (part) shares.set(part, (shares.get(part) ?? 0) + share);
    }
    return shares;
  }, [trace.data, view.data]);
  const [probe, setProbe] = useState<{ live?: string } | undefined>();
  return {
    machine,
    jobId: input && job.data?.id,
    view: view.data,
    laid: laid.data,
    model: model.data,
    trail,
    state,
    fault,
    faultLabel: fault?.label,
    severity,
    live: live.data,
    leads: probe ? { red: probe.live ?? '', black: '', unplugged: [] } : leads,
    check: checks.find((c) => c.id === next),
    /** The leading suspect, where it is a fault of what is drawn. */
    leading: view.data?.faults.find((f) => f.id === trace.data?.suspects[0]?.faultId),
    suspicion,
    taken: [...taken.values()].flatMap((reading) => {
      // Leads that were put anywhere say themselves where they were.
      const node = reading.probe?.live ?? all.find((l) => l.checkId === reading.checkId)?.red;
      const check = checks.find((c) => c.id === reading.checkId);
      return node && check ? [{ node, words: readingWords(reading, check) }] : [];
    }),
    proven: new Set(trace.data?.stations.flatMap((s) => (s.state === 'proven' ? s.id : []))),
    picked: params.get('part') ?? undefined,
    probe,
    setProbe,
    error: (stored.data ? undefined : stored.error) ?? view.error ?? (laid.error as Error | undefined) ?? live.error,
  };
}
export type DrawingPageState = ReturnType<typeof useDrawingPage>;
