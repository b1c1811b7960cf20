import type { Complaint } from '../schema/job.ts';
import type { House } from '../schema/house.ts';
import type { MachineBody } from '../schema/machine.ts';
import type { Lesson, Truth, Twist } from '../schema/practice.ts';
import type { SymptomId } from '../schema/symptoms.ts';
import { seededRandom, type Random } from '../random/lcg.ts';
import { likeliestComplaint } from '../tracing/likelyComplaint.ts';
import { buildModel, type Model, type ModelFault } from '../tracing/model.ts';
import { Tracer } from '../tracing/trace.ts';
import { bestWay } from './bestWay.ts';
import { saidOf, sinceWhen } from './ownersWords.ts';
import { NoSolution } from '../machine/scene.ts';
import type { HiddenMachine } from './hiddenMachine.ts';
import { PlayedMachine } from './playedMachine.ts';
import { bypassOf, realMachine } from './realMachine.ts';
import { drawFaultAcross } from './simulatedMeter.ts';

export interface LessonWanted {
  readonly machine: MachineBody;
  readonly house: House;
  readonly twists: readonly Twist[];
  readonly seed: number;
  /** Chosen, not drawn: `part.mode`. */
  readonly faults?: readonly string[] | undefined;
  readonly course?: number | undefined;
  /** What it is to be complained of, where its machine does that as well. */
  readonly symptom?: SymptomId | undefined;
}
export interface Dealt {
  readonly lesson: Lesson;
  readonly truth: Truth;
}

/** Why no lesson came of what was wanted; worded by the interface. */
export class NoLesson extends Error {
  readonly code: 'no such fault' | 'not complained of' | 'not found' | 'no ballast';
  constructor(code: NoLesson['code']) {
    super(code);
    this.code = code;
  }
}

/** Draws for one lesson before it is not offered. */
const DRAWS = 12;
/** Less likely than this to be complained of, nobody would bring it in; and sound it must not be. */
const EXPLAINS = 0.3;

const PATTERN = { heat: 'hot', cold: 'cold', damp: 'damp', shaking: 'now-and-then' } as const;

/** What an owner did last that has nothing to do with it. */
const BESIDE_THE_POINT = ['New tyres, nothing else.', 'It was washed and waxed.', 'Only a change of oil.', ''];

function drawFaults(model: Model, twists: readonly Twist[], random: Random): ModelFault[] {
  const goes = twists.includes('comes and goes');
  const one = (fits: (f: ModelFault) => boolean): ModelFault | undefined => {
    for (let k = 0; k < 60; k++) {
      const drawn = drawFaultAcross(model, random);
      if (fits(drawn)) return drawn;
    }
    return undefined;
  };
  const first = one((f) => !goes || f.mode.comesWith !== undefined);
  if (!first || !twists.includes('two faults')) return first ? [first] : [];
  const second = one((f) => f.part.id !== first.part.id && f.repairId !== first.repairId);
  return second ? [first, second] : [];
}

/** What the owner knows of it, all of it true. */
function known(
  complaint: Complaint,
  faults: readonly ModelFault[],
  twists: readonly Twist[],
  random: Random,
): Complaint {
  const words = saidOf(complaint, random);
  const since = sinceWhen(random);
  if (!twists.includes('part fitted yesterday')) {
    const before = BESIDE_THE_POINT[Math.floor(random() * BESIDE_THE_POINT.length)]!;
    return { ...complaint, words, since, before };
  }
  const { part } = faults[0]!;
  const before = `There is a new part in it since yesterday: ${part.label.toLowerCase()}.`;
  return { ...complaint, words, since, before, recent: [{ station: part.station, what: 'new', ago: 'just before' }] };
}

const worded = (f: ModelFault) => ({ id: f.id, part: f.part.label, how: f.mode.label, repairId: f.repairId });

/** Reads every check once on each of these. Throws NoSolution where figures far off their plates leave it no answer. */
function readAll(model: Model, machines: readonly HiddenMachine[]): void {
  for (const hidden of machines)
    for (const check of [...model.checks, ...model.beyond]) hidden.read(check, seededRandom(1));
}

interface Drawn {
  real: MachineBody | undefined;
  model: Model;
  chosen: readonly string[] | undefined;
}

/** One machine with its faults and its complaint, or why there is none. */
function drawn(
  wanted: LessonWanted,
  { real, model, chosen }: Drawn,
  seed: number,
): Omit<Dealt, 'truth'> & { truth: Omit<Truth, 'best'> } {
  const { machine, house, twists, course } = wanted;
  const random = seededRandom(seed);
  const faults = chosen
    ? chosen.map((id) => model.faults.find((f) => f.id === id)).filter((f) => f !== undefined)
    : drawFaults(model, twists, random);
  if (faults.length === 0 || (chosen && faults.length < chosen.length)) throw new NoLesson('no such fault');
  const bypass = twists.includes('bypassed before') ? bypassOf(model) : undefined;
  const hidden = {
    faults: faults.map(worded),
    besides: bypass && !faults.includes(bypass) ? [worded(bypass)] : [],
    figures: seed,
    real: real ?? null,
  };
  const pattern = twists.includes('comes and goes') ? PATTERN[faults[0]!.mode.comesWith ?? 'shaking'] : 'constant';
  const constant: Complaint = { symptom: 'no-fire', pattern: 'constant', words: '', since: '', before: '' };
  const played = new PlayedMachine(model, { twists: [...twists] }, { ...hidden, knows: constant });
  const failing = played.at(new Set());
  const sound = played.at(new Set(faults.map((f) => f.repairId)));
  readAll(model, [failing, ...faults.map((f) => played.at(new Set([f.repairId]))), sound]);
  const symptom = wanted.symptom ?? likeliestComplaint((c) => failing.brings(c)).symptom;
  const complaint: Complaint = { ...constant, symptom, pattern };
  const brings = (m: typeof sound) => m.brings({ ...complaint, pattern: 'constant' });
  if (brings(failing) < EXPLAINS || brings(sound) > EXPLAINS / 2) throw new NoLesson('not complained of');
  const knows = known(complaint, faults, twists, random);
  const lesson: Lesson = {
    course: course ?? null,
    machine,
    house,
    twists: [...twists],
    seed: wanted.seed,
    set: chosen !== undefined && course === undefined,
    complaint: { ...complaint, words: knows.words },
  };
  return { lesson, truth: { ...hidden, knows } };
}

/**
 * Draws a lesson: a machine that is complained of and that the ranked way ends right on. The same wish and seed deal the
 * same lesson. Throws NoLesson where none of a dozen draws is one.
 */
export function deal(wanted: LessonWanted, tracer: Tracer = new Tracer(wanted.machine, wanted.house)): Dealt {
  const { machine, house, twists } = wanted;
  const real = realMachine(machine, house, twists, seededRandom(wanted.seed));
  const model = real ? buildModel(real, house) : tracer.model;
  if (twists.includes('bypassed before') && !bypassOf(model)) throw new NoLesson('no ballast');
  let failed = new NoLesson('not found');
  for (let k = 0; k < DRAWS; k++) {
    const seed = wanted.seed + k * 10_007;
    try {
      const { lesson, truth } = drawn(wanted, { real, model, chosen: wanted.faults }, seed);
      const { way, right } = bestWay(tracer, lesson, truth);
      if (right) return { lesson, truth: { ...truth, best: way } };
    } catch (error) {
      if (error instanceof NoSolution) continue;
      if (!(error instanceof NoLesson)) throw error;
      failed = error;
      if (error.code === 'no such fault' && wanted.faults) throw error;
    }
  }
  throw failed;
}
