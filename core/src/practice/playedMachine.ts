import type { Conditions } from '../schema/job.ts';
import type { Lesson, Move, Truth } from '../schema/practice.ts';
import type { FreeProbe } from '../schema/freeProbe.ts';
import type { Check } from '../trails/checks.ts';
import { freeCheck } from '../trails/freeProbe.ts';
import { seededRandom } from '../random/lcg.ts';
import { HANDS } from '../tracing/likelihood.ts';
import { buildModel, type Model } from '../tracing/model.ts';
import { shows } from '../tracing/presence.ts';
import { HiddenMachine } from './hiddenMachine.ts';

/** Seeds of one lesson's chances, apart from one another. */
const READING = 7919;
const PRESENCE = 104_729;
/** Whoever reads himself in practice slips nothing and sees what is plain; the helper is as clumsy as helpers are. */
const OWN_HANDS = { misprobe: 0, keen: true } as const;
const HELPER = HANDS[1]!;

type Played = Pick<Lesson, 'twists'>;
type Hidden = Pick<Truth, 'faults' | 'besides' | 'figures' | 'knows'>;

/** The drawn machine of a lesson, as it stands after some moves. Same lesson and moves, same answers. */
export class PlayedMachine {
  private readonly model: Model;
  private readonly lesson: Played;
  private readonly truth: Hidden;

  constructor(model: Model, lesson: Played, truth: Hidden) {
    this.model = model;
    this.lesson = lesson;
    this.truth = truth;
  }

  /** `told`: the model of the lesson's machine as its book has it. */
  static of(told: Model, lesson: Lesson, truth: Truth): PlayedMachine {
    return new PlayedMachine(truth.real ? buildModel(truth.real, lesson.house) : told, lesson, truth);
  }

  /** Every fault that is in it, whatever was put right since. */
  private get faults() {
    return [...this.truth.faults, ...this.truth.besides].map(({ id }) => this.model.faults.find((f) => f.id === id)!);
  }

  /** `there`: whether what comes and goes is there now. `saw`: what these eyes saw before, since it was last changed. */
  at(mended: ReadonlySet<string>, there = true, saw: ReadonlyMap<string, string> = new Map()): HiddenMachine {
    const hands = this.lesson.twists.includes('a helper reads') ? HELPER : OWN_HANDS;
    const all = this.faults;
    return new HiddenMachine(this.model, all, seededRandom(this.truth.figures), {
      ...hands,
      saw,
      without: (fault) => mended.has(fault.repairId) || (!there && this.goes(fault.id)),
    });
  }
  /** Of two faults the first comes and goes; the other stays. */
  private goes(faultId: string): boolean {
    return this.lesson.twists.includes('comes and goes') && faultId === this.truth.faults[0]!.id;
  }

  /** Whether it shows at the `place`th move, as warm as it is. */
  shownAt(place: number, conditions: Conditions): boolean {
    if (this.truth.knows.pattern === 'constant') return true;
    const luck = seededRandom(this.truth.figures * PRESENCE + place);
    return luck() < shows(this.truth.knows, { ...conditions, faultPresent: 'unknown' });
  }

  /** The luck of the `place`th move. */
  luck(place: number) {
    return seededRandom(this.truth.figures * READING + place);
  }
  /** The same check on this machine; nothing where what it touches is not there. */
  check(id: string, probe?: FreeProbe): Check | undefined {
    const checks = [...this.model.checks, ...this.model.beyond];
    return probe ? freeCheck(this.model.machine, checks, probe) : checks.find((c) => c.id === id);
  }
}

/** What eyes have seen since the machine was last changed, by check. */
export function seenSince(moves: readonly Move[]): Map<string, string> {
  const saw = new Map<string, string>();
  for (const { ask, answer } of moves) {
    if (ask.kind === 'fit') saw.clear();
    if (ask.kind === 'check' && answer.kind === 'reading' && answer.value.kind === 'word')
      saw.set(ask.checkId, answer.value.word);
  }
  return saw;
}
