import type { Lesson, Move, Truth, WayStep } from '../schema/practice.ts';
import { TRY_IT } from '../trails/checks.ts';
import { passes } from '../tracing/ruler.ts';
import type { Trace, Tracer } from '../tracing/trace.ts';
import { beliefIn, stepOf } from './bestWay.ts';
import { standsAt } from './moves.ts';
import { traceAt, tutored, type Tutored } from './tutor.ts';

/** What a way shows that its learner could do better; each is worded by the interface. */
export const FINDINGS = [
  'not found',
  'unproved',
  'fitted in vain',
  'one witness',
  'went on',
  'passed while away',
  'splits skipped',
  'meter for a look',
  'caution passed over',
] as const;
export type FindingId = (typeof FINDINGS)[number];
export interface Finding {
  readonly id: FindingId;
  /** The move at which it shows, from 0; nothing where it is none by itself. */
  readonly place: number | null;
  readonly count: number;
}

export interface Review {
  readonly truth: Truth['faults'];
  /** What was wrong besides, and has nothing to do with it. */
  readonly besides: Truth['besides'];
  /** The plate figures that were not as its book has them. */
  readonly offBook: readonly string[];
  readonly way: readonly WayStep[];
  readonly best: readonly WayStep[];
  readonly tutored: readonly (Tutored | null)[];
  readonly minutes: number;
  readonly money: number;
  readonly needless: number;
  readonly hints: number;
  readonly found: boolean;
  readonly proved: boolean;
  readonly findings: readonly Finding[];
}

/** A check that tells less than this share of the best one a minute skips a split. */
const SKIPS_UNDER = 0.2;
/** So often it is a habit within one lesson. */
const SKIPS_FROM = 3;
/** Fitted with less belief than this, one witness (or none) stood for it. */
const WITNESSED_FROM = 0.5;
/** More checks than this after it was as good as sure went on too long. */
const WENT_ON_FROM = 2;
/** A look or a lamp that tells so many times more a minute than the meter that was fetched. */
const LOOK_TELLS = 2;
const BY_LOOK: ReadonlySet<string> = new Set(['eyes', 'test lamp', 'LED lamp']);

interface Watched {
  readonly tracer: Tracer;
  readonly truth: Truth;
  readonly moves: readonly Move[];
  /** How it stood before each move, and after the last. */
  readonly traces: readonly Trace[];
  readonly worth: readonly (Tutored | null)[];
}

const one = (id: FindingId, places: readonly number[], from = 1): Finding[] =>
  places.length >= from ? [{ id, place: places[0]!, count: places.length }] : [];

const placesOf = <T>(of: readonly T[], is: (item: T, place: number) => boolean): number[] =>
  of.flatMap((item, place) => (is(item, place) ? [place] : []));

function fittedInVain({ moves, truth }: Watched): number[] {
  const right = new Set(truth.faults.map((f) => f.repairId));
  return placesOf(
    moves,
    ({ ask, answer }) => ask.kind === 'fit' && answer.kind === 'fitted' && !right.has(ask.repairId),
  );
}

/** Of the parts fitted in vain, those that little spoke for. */
const oneWitness = (watched: Watched): number[] =>
  fittedInVain(watched).filter((place) => {
    const { ask } = watched.moves[place]!;
    const line = watched.traces[place]!.lines.find((l) => ask.kind === 'fit' && l.repair.id === ask.repairId);
    return (line?.share ?? 0) < WITNESSED_FROM;
  });

/** Checks made after the right repair was called for. */
function wentOn({ moves, traces, truth }: Watched): number[] {
  const right = new Set(truth.faults.map((f) => f.repairId));
  return placesOf(moves, ({ ask }, place) => {
    const { verdict } = traces[place]!;
    return ask.kind === 'check' && verdict.kind === 'fix' && right.has(verdict.repair.id);
  });
}

/** Passed while the fault was away, and never asked again while it was there. */
function passedAway({ moves, tracer }: Watched): number[] {
  return placesOf(moves, ({ ask, answer }, place) => {
    if (ask.kind !== 'check' || answer.kind !== 'reading' || answer.conditions.faultPresent !== 'no') return false;
    const check = tracer.weigher.check(ask.checkId);
    const again = moves
      .slice(place + 1)
      .some((m) => m.ask.kind === 'check' && m.ask.checkId === ask.checkId && m.answer.kind === 'reading');
    return !again && check !== undefined && passes(tracer.weigher, check, answer.value);
  });
}

/** Tried after the last repair, and even. */
function provedBy(moves: readonly Move[]): boolean {
  const last = moves.findLastIndex((m) => m.ask.kind === 'fit');
  return moves.slice(last + 1).some(({ ask, answer }) => {
    if (ask.kind !== 'check' || ask.checkId !== TRY_IT || answer.kind !== 'reading') return false;
    return answer.value.kind === 'word' && answer.value.word === 'runs even' && answer.conditions.faultPresent !== 'no';
  });
}

function findingsOf(watched: Watched, found: boolean, proved: boolean): Finding[] {
  const { moves, worth, tracer } = watched;
  const rate = (bits: number, minutes: number) => bits / Math.max(0.1, minutes);
  const skips = placesOf(worth, (w) => {
    const best = w?.best;
    return !!w && !!best && rate(w.bits, w.minutes) < SKIPS_UNDER * rate(best.bits, best.minutes);
  });
  const meters = placesOf(worth, (w, place) => {
    const { ask } = moves[place]!;
    const own = ask.kind === 'check' ? tracer.weigher.check(ask.checkId) : undefined;
    if (!w?.best || !own || BY_LOOK.has(own.instrument) || !BY_LOOK.has(w.best.instrument)) return false;
    return rate(w.best.bits, w.best.minutes) > LOOK_TELLS * rate(w.bits, w.minutes);
  });
  const over = placesOf(moves, ({ answer }) => answer.kind === 'reading' && answer.passedOver.length > 0);
  return [
    ...(found ? [] : [{ id: 'not found', place: null, count: 1 } as const]),
    ...(found && !proved ? [{ id: 'unproved', place: null, count: 1 } as const] : []),
    ...one('fitted in vain', fittedInVain(watched)),
    ...one('one witness', oneWitness(watched)),
    ...one('went on', wentOn(watched), WENT_ON_FROM + 1),
    ...one('passed while away', passedAway(watched)),
    ...one('splits skipped', skips, SKIPS_FROM),
    ...one('meter for a look', meters, SKIPS_FROM),
    ...one('caution passed over', over),
  ];
}

/** The figures that were not as its book has them: `part.figure`. */
const offBookOf = ({ machine }: Lesson, { real }: Truth): string[] =>
  Object.entries(real?.plates ?? {}).flatMap(([id, own]) => {
    const told = machine.plates[id];
    return own.low === told?.low && own.high === told.high ? [] : [id];
  });

/** The whole way beside the best one. `moves` are those of a lesson that is over. */
export function reviewOf(tracer: Tracer, lesson: Lesson, truth: Truth, moves: readonly Move[]): Review {
  const so = standsAt({ tracer, lesson, moves });
  const traces = Array.from({ length: moves.length + 1 }, (_, n) => traceAt(tracer, lesson, moves.slice(0, n)));
  const worth = moves.map((_, n) => tutored(tracer, lesson, moves, n, traces[n], traces[n + 1]) ?? null);
  const way = moves.map((move, n) =>
    stepOf(tracer, move, beliefIn(tracer, standsAt({ tracer, lesson, moves: moves.slice(0, n + 1) }), truth)),
  );
  const found = truth.faults.every((f) => so.mended.has(f.repairId));
  const proved = found && provedBy(moves);
  const watched: Watched = { tracer, truth, moves, traces, worth };
  return {
    truth: truth.faults,
    besides: truth.besides,
    offBook: offBookOf(lesson, truth),
    way,
    best: truth.best,
    tutored: worth,
    minutes: so.minutes,
    money: so.money,
    needless: worth.reduce((sum, w) => sum + (w?.needless ?? 0), 0),
    hints: so.hints,
    found,
    proved,
    findings: findingsOf(watched, found, proved),
  };
}
