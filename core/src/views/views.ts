import type { Check } from '../trails/checks.ts';
import { OPENING_MINUTES, type CautionId, type Opening } from '../trails/checks.ts';
import { mannerOf, type Manner } from '../drawing/manner.ts';
import { INSTRUMENTS, type InstrumentId } from '../instruments/index.ts';
import type { PartInstance } from '../machine/part.ts';
import type { Dimension } from '../quantity/index.ts';
import type { Complaint, Conditions, JobEvent } from '../schema/job.ts';
import type { TrailName } from '../schema/symptoms.ts';
import type { MindChanger } from '../tracing/changeMind.ts';
import { sinceRepair, tell } from '../tracing/events.ts';
import { heldCautions } from '../tracing/handFirst.ts';
import { mayHavePassed } from '../tracing/offered.ts';
import { evidenceOf } from '../tracing/settingEvidence.ts';
import type { Model, ModelFault, ModelRepair } from '../tracing/model.ts';
import { wordsOf } from '../tracing/readTyped.ts';
import { standing, type Standing } from '../tracing/ruler.ts';
import type { StationState } from '../tracing/stations.ts';
import type { Evidence } from '../tracing/suspects.ts';
import type { SuspectLine } from '../tracing/suspectLines.ts';
import type { Trace, Tracer } from '../tracing/trace.ts';
import type { Turn } from '../tracing/afterwards.ts';
import type { Verdict } from '../tracing/verdict.ts';

/** What the core found, without its own objects: crosses a worker or the network unchanged. */
export interface CheckView {
  id: string;
  label: string;
  station: string;
  set: string;
  touch: string;
  watch: string;
  instrument: InstrumentId;
  instrumentLabel: string;
  manner: Manner;
  dimension: Dimension | null;
  words: readonly string[];
  /** Of several alike that are read in one round: what the round is called, and which this is. */
  beside: { readonly what: string; readonly n: number } | null;
  /** So many plugs lie side by side and are told one by one; 0 where it is not about them. */
  plugs: number;
  /** Without what must be opened. */
  minutes: number;
  opens: readonly Opening[];
  cautions: readonly CautionId[];
  /** What else hangs there, in two words; nothing where the check is none of that. */
  tap: string | null;
  look: boolean;
  /** Taken as the engine runs. */
  running: boolean;
}
export interface RankedView extends CheckView {
  /** With what must still be opened. */
  minutesNow: number;
  bits: number;
  bitsPerMinute: number;
  /** Taken since the last repair, and worth taking once more: the reading may be a slip of the probe. */
  again: boolean;
  /** And the fault may have been away then. */
  passing: boolean;
}
export interface RepairView {
  id: string;
  label: string;
  /** The part that it is done to. */
  part: string;
  station: string;
  minutes: number;
  money: number;
  goesWith: string;
  /** The repair whose price holds for this one too. */
  follows: string | null;
  cautions: readonly CautionId[];
}
export interface SuspectView {
  faultId: string;
  part: string;
  how: string;
  station: string;
  trail: TrailName;
  share: number;
  cost: number;
  repair: RepairView;
  evidence: readonly Evidence[];
}
export interface LineView {
  repair: RepairView;
  /** The part's name, or what several alike are called together. */
  part: string;
  /** So many equal parts that nothing tells apart. */
  alike: number;
  station: string;
  trail: TrailName;
  share: number;
  cost: number;
  ways: readonly { faultId: string; how: string; share: number }[];
  /** For and against its likeliest way. */
  evidence: readonly Evidence[];
}
export type VerdictView =
  | Exclude<Verdict, { kind: 'fix' } | { kind: 'second check' }>
  | { kind: 'second check'; repair: RepairView; share: number; check: CheckView; loss: number }
  | { kind: 'wait' }
  | { kind: 'fix'; repair: RepairView; share: number; why: Extract<Verdict, { kind: 'fix' }>['why'] };
export interface TraceView {
  verdict: VerdictView;
  /** What else is surely wrong, in the order in which it is put right after what is called. */
  afterwards: readonly { part: string; repair: RepairView; share: number; why: Turn }[];
  ranked: readonly RankedView[];
  suspects: readonly SuspectView[];
  /** The same by what would put them right. */
  lines: readonly LineView[];
  /** What readings showed to be wrong, though it does not explain the complaint. */
  besides: readonly { faultId: string; part: string; how: string; repair: RepairView }[];
  stations: readonly StationState[];
  sound: number;
  /** Chance that what is complained of is not there. */
  unshown: number;
  outside: number;
  trails: Trace['trails'];
  atOdds: readonly { readingId: string; chance: number }[];
  opened: readonly string[];
  mindChangers: readonly (Omit<MindChanger, 'check'> & { check: CheckView })[];
  /** What would settle the reading most at odds. */
  settles: CheckView | null;
  soak: { check: CheckView; bitsNow: number; bitsAfter: number } | null;
  /** Checks of this job that the machine does not list: leads put anywhere. */
  probes: readonly CheckView[];
  /** Readings that a sound machine would not give, which way they are off, and whether the lead would make them so. */
  failed: readonly { readingId: string; standing: Standing; explained: boolean }[];
}

export const checkView = (check: Check): CheckView => ({
  id: check.id,
  label: check.label,
  station: check.station,
  set: check.set,
  touch: check.touch,
  watch: check.watch,
  instrument: check.instrument,
  instrumentLabel: INSTRUMENTS[check.instrument].label,
  manner: mannerOf(check),
  dimension: INSTRUMENTS[check.instrument].dimension ?? null,
  words: INSTRUMENTS[check.instrument].dimension ? [] : wordsOf(check),
  beside: check.beside ?? null,
  plugs: check.plugs ?? 0,
  minutes: check.minutes,
  opens: check.opens,
  cautions: check.cautions,
  tap: check.tap ?? null,
  look: check.look ?? false,
  running: check.state.key === 'run',
});

export const repairView = (r: ModelRepair): RepairView => ({
  id: r.id,
  label: r.label,
  part: r.part.label,
  station: r.station,
  minutes: r.minutes,
  money: r.money,
  goesWith: r.goesWith ?? '',
  follows: r.follows ?? null,
  cautions: r.cautions,
});

function verdictView(verdict: Trace['verdict'], viewed: (check: Check) => CheckView): VerdictView {
  if (verdict.kind === 'fix') return { ...verdict, repair: repairView(verdict.repair) };
  if (verdict.kind === 'second check')
    return { ...verdict, repair: repairView(verdict.repair), check: viewed(verdict.check) };
  return verdict;
}

/** How it failed; whose failing it is where one repair mends more than `part`. */
const howOf = ({ part: own, mode }: ModelFault, part: PartInstance): string =>
  own.kind === part.kind ? mode.label : `${own.kind.kind} ${mode.label}`;

function lineView({ repair, share, cost, ways, alike }: SuspectLine, { suspects }: Trace): LineView {
  const lead = ways[0]!.fault;
  return {
    repair: repairView(repair),
    part: alike.length > 1 ? (lead.part.together ?? lead.part.label) : lead.part.label,
    alike: alike.length,
    station: lead.part.station,
    trail: lead.trail,
    share,
    cost,
    ways: ways.map((w) => ({ faultId: w.fault.id, how: howOf(w.fault, lead.part), share: w.share })),
    evidence: suspects.find((s) => s.fault === lead)?.evidence ?? [],
  };
}

/** From this share on the leading suspect is what stops it; what does not speak for it then is something else. */
const LEADS_FROM = 0.8;
/** Below this share of the belief something that was found is not what explains the complaint. */
const EXPLAINS_FROM = 0.5;
const isExplained = ({ suspects }: Trace, readingId: string): boolean =>
  !suspects[0] ||
  suspects[0].share < LEADS_FROM ||
  suspects[0].evidence.some((e) => e.readingId === readingId && e.decades > 0);

function probesOf({ weigher }: Tracer, events: readonly JobEvent[]): CheckView[] {
  const checks = events.flatMap((e) =>
    e.type === 'reading' && e.reading.probe ? (weigher.learn(e.reading.probe) ?? []) : [],
  );
  return [...new Set(checks)].map(checkView);
}

export function traceView(
  tracer: Tracer,
  complaint: Complaint,
  events: readonly JobEvent[],
  now: Conditions,
): TraceView {
  const found: Trace = tracer.trace(complaint, events, now);
  const { verdict } = found;
  const viewed = (check: Check): CheckView => ({
    ...checkView(check),
    cautions: heldCautions(tracer.model.machine, check, found.byHandFirst),
  });
  const since = sinceRepair(tell(evidenceOf(tracer.model, events)));
  const taken = new Set(since.map((r) => r.checkId));
  const passing = new Set(since.filter((r) => mayHavePassed(complaint, r)).map((r) => r.checkId));
  return {
    verdict: verdictView(verdict, viewed),
    afterwards: found.afterwards.map((a) => ({ ...a, part: a.repair.part.label, repair: repairView(a.repair) })),
    mindChangers: found.mindChangers.map((m) => ({ ...m, check: viewed(m.check) })),
    settles: found.settles ? viewed(found.settles) : null,
    soak: found.soak ? { ...found.soak, check: viewed(found.soak.check) } : null,
    ranked: found.ranked.map((r) => ({
      ...viewed(r.check),
      minutesNow: r.minutes,
      bits: r.bits,
      bitsPerMinute: r.bitsPerMinute,
      again: taken.has(r.check.id),
      passing: passing.has(r.check.id),
    })),
    suspects: found.suspects.map((s) => ({
      faultId: s.fault.id,
      part: s.fault.part.label,
      how: s.fault.mode.label,
      station: s.fault.part.station,
      trail: s.fault.trail,
      share: s.share,
      cost: s.cost,
      repair: repairView(s.repair),
      evidence: s.evidence,
    })),
    lines: found.lines.map((l) => lineView(l, found)),
    besides: found.found
      .filter((f) => f.explains < EXPLAINS_FROM)
      .map(({ fault }) => ({
        faultId: fault.id,
        part: fault.part.label,
        how: fault.mode.label,
        repair: repairView(tracer.model.repairs.get(fault.repairId)!),
      })),
    stations: found.stations,
    sound: found.sound,
    unshown: found.unshown,
    outside: found.outside,
    trails: found.trails,
    atOdds: found.atOdds,
    opened: found.opened,
    probes: probesOf(tracer, events),
    failed: events.flatMap((e) => {
      const check = e.type === 'reading' && tracer.weigher.check(e.reading.checkId);
      if (!check) return [];
      const readingId = e.reading.id;
      const side = standing(tracer.weigher, check, e.reading.value);
      return side === 'well' ? [] : [{ readingId, standing: side, explained: isExplained(found, readingId) }];
    }),
  };
}

export const repairsView = (model: Model): RepairView[] => [...model.repairs.values()].map(repairView);
export const openingMinutes = OPENING_MINUTES;
