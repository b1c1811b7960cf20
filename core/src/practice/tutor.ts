import type { Lesson, Move } from '../schema/practice.ts';
import type { InstrumentId } from '../instruments/index.ts';
import type { SuspectLine } from '../tracing/suspectLines.ts';
import type { Trace, Tracer } from '../tracing/trace.ts';
import { standsAt } from './moves.ts';
import { conditionsAt } from './standing.ts';

/** What one check was worth when it was made. */
export interface Tutored {
  /** Expected of it, and of what would have told most a minute; bits. */
  readonly bits: number;
  readonly minutes: number;
  readonly best: {
    readonly checkId: string;
    readonly label: string;
    readonly bits: number;
    readonly minutes: number;
    readonly instrument: InstrumentId;
  } | null;
  /** Bits still open about which repair it is, before it and after it. */
  readonly openBefore: number;
  readonly openAfter: number;
  /** Minutes that the best check would not have needed to tell as much. */
  readonly needless: number;
  /** Suspects that it took away. */
  readonly gone: readonly {
    readonly part: string;
    readonly how: string;
    readonly before: number;
    readonly after: number;
  }[];
}

/** How things stand, as the tracer is asked of it. */
export function traceAt(tracer: Tracer, lesson: Lesson, moves: readonly Move[]): Trace {
  const so = standsAt({ tracer, lesson, moves });
  return tracer.trace(so.complaint, so.events, conditionsAt(so));
}

/** Entropy over what would put it right, bits; what is not among the lines counts as one more. */
function openBits(lines: readonly Pick<SuspectLine, 'share'>[]): number {
  const rest = Math.max(0, 1 - lines.reduce((sum, l) => sum + l.share, 0));
  return [...lines.map((l) => l.share), rest].reduce((sum, p) => sum - (p > 0 ? p * Math.log2(p) : 0), 0);
}

const WAS_SUSPECT = 0.03;
const GONE_UNDER = 0.01;
const GONE_SHOWN = 4;

function goneBetween(before: Trace, after: Trace): Tutored['gone'] {
  return before.lines
    .flatMap(({ share, repair, ways }) => {
      const left = after.lines.find((l) => l.repair.id === repair.id)?.share ?? 0;
      if (share < WAS_SUSPECT || left >= GONE_UNDER) return [];
      return { part: repair.part.label, how: ways[0]!.fault.mode.label, before: share, after: left };
    })
    .slice(0, GONE_SHOWN);
}

/** What the check at a place among the moves was worth; undefined where that move was none, or told nothing. */
export function tutored(
  tracer: Tracer,
  lesson: Lesson,
  moves: readonly Move[],
  place: number,
  before: Trace = traceAt(tracer, lesson, moves.slice(0, place)),
  after: Trace = traceAt(tracer, lesson, moves.slice(0, place + 1)),
): Tutored | undefined {
  const move = moves[place]!;
  if (move.ask.kind !== 'check' || move.answer.kind !== 'reading') return undefined;
  const { checkId } = move.ask;
  const bits = before.ranked.find((r) => r.check.id === checkId)?.bits ?? 0;
  const [first] = before.ranked;
  const rate = first ? first.bits / first.minutes : 0;
  return {
    bits,
    minutes: move.minutes,
    best: first
      ? {
          checkId: first.check.id,
          label: first.check.label,
          bits: first.bits,
          minutes: first.minutes,
          instrument: first.check.instrument,
        }
      : null,
    openBefore: openBits(before.lines),
    openAfter: openBits(after.lines),
    needless: rate > 0 && checkId !== first?.check.id ? Math.max(0, move.minutes - bits / rate) : 0,
    gone: goneBetween(before, after),
  };
}
