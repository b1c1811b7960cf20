import {
  adviseMove,
  answerMove,
  choose,
  deal,
  NoLesson,
  PlayedMachine,
  seededRandom,
  standsAt,
  Tracer,
  tutored,
  type Dealt,
  type Move,
  type MoveAsk,
  type Policy,
  type Random,
  type Twist,
} from '@pondu/core';
import { houseSchema, storedMachineSchema, TWISTS } from '@pondu/core/schema';
import { KINDS } from './kinds.ts';

/** Lessons drawn over all kinds, and those that each learner plays. */
const DRAWN = Number(process.env['BENCH_LESSONS'] ?? 2000);
const PLAYED = Number(process.env['BENCH_PLAYED'] ?? 200);
const MOST_MOVES = 40;
/** A complaint agrees with a machine that does it at least so often. */
const AGREES = 0.3;
const house = houseSchema.parse({});

type Learner = 'at random' | Policy | 'by hints';
const LEARNERS: readonly Learner[] = ['at random', 'walk in order', 'halve', 'by hints'];

const mean = (of: readonly number[]) => Number((of.reduce((a, b) => a + b, 0) / of.length).toFixed(3));
const minutesOf = (moves: readonly { minutes: number }[]) => moves.reduce((sum, m) => sum + m.minutes, 0);

/** What a learner would do next: he stops to mend when the trace says so, and takes checks in his own way. */
function nextOf(learner: Learner, tracer: Tracer, { lesson }: Dealt, moves: readonly Move[], random: Random) {
  const advised = adviseMove(tracer, lesson, moves);
  if (learner === 'by hints' || advised?.kind !== 'check') return advised;
  const so = standsAt({ tracer, lesson, moves });
  const belief = tracer.belief(so.complaint, so.events);
  const ranked = tracer.rank(belief, so.complaint, {
    warmth: 'unknown',
    faultPresent: so.complaint.pattern === 'constant' ? 'yes' : 'unknown',
  });
  const check =
    learner === 'at random'
      ? ranked[Math.floor(random() * ranked.length)]?.check
      : choose(learner, tracer.model, belief, ranked);
  return check ? ({ kind: 'check', checkId: check.id, understood: true } satisfies MoveAsk) : advised;
}

function played(learner: Learner, tracer: Tracer, dealt: Dealt, seed: number) {
  const { lesson, truth } = dealt;
  const random = seededRandom(seed);
  const moves: Move[] = [];
  const done = () => {
    const { mended } = standsAt({ tracer, lesson, moves });
    return truth.faults.every((f) => mended.has(f.repairId));
  };
  while (!done() && moves.length < MOST_MOVES) {
    const ask = nextOf(learner, tracer, dealt, moves, random);
    if (!ask) break;
    moves.push(answerMove({ tracer, lesson, truth, moves }, ask));
  }
  const needless = moves.reduce((sum, _, place) => sum + (tutored(tracer, lesson, moves, place)?.needless ?? 0), 0);
  return { found: done(), minutes: minutesOf(moves), needless, best: minutesOf(truth.best) };
}

/** Lessons as they are dealt: offered or not, and whether what is said of them is so. */
export function practiceFigures(): object {
  const tracers = Object.entries(KINDS).map(([name, fitOut]) => {
    const machine = storedMachineSchema.parse({ name, kind: 'car', worth: 2000, fitOut });
    return { machine, tracer: new Tracer(machine, house) };
  });
  const refused: Record<string, number> = {};
  const byTwist: Record<string, { offered: number; wanted: number }> = {};
  const kept: { dealt: Dealt; tracer: Tracer }[] = [];
  let [offered, agrees, solved] = [0, 0, 0];
  for (let k = 0; k < DRAWN; k++) {
    const { machine, tracer } = tracers[k % tracers.length]!;
    const twist = ([undefined, ...TWISTS] as const)[Math.floor(k / tracers.length) % (TWISTS.length + 1)];
    const twists: Twist[] = twist ? [twist] : [];
    const count = (byTwist[twist ?? 'none'] ??= { offered: 0, wanted: 0 });
    count.wanted++;
    try {
      const dealt = deal({ machine, house, twists, seed: 1 + k }, tracer);
      offered++;
      count.offered++;
      const whole = PlayedMachine.of(tracer.model, dealt.lesson, dealt.truth).at(new Set());
      agrees += Number(whole.brings({ ...dealt.truth.knows, pattern: 'constant' }) >= AGREES);
      const fitted = new Set(dealt.truth.best.flatMap((s) => (s.kind === 'fit' ? [s.ref] : [])));
      solved += Number(dealt.truth.faults.every((f) => fitted.has(f.repairId)));
      if (kept.length < PLAYED && k % Math.max(1, Math.floor(DRAWN / PLAYED / 1.3)) === 0) kept.push({ dealt, tracer });
    } catch (error) {
      if (!(error instanceof NoLesson)) throw error;
      refused[error.code] = (refused[error.code] ?? 0) + 1;
    }
    if (k % 100 === 99) process.stderr.write(`${k + 1} drawn\n`);
  }
  const learners = LEARNERS.map((learner) => {
    const runs = kept.map(({ dealt, tracer }, k) => played(learner, tracer, dealt, 500 + k));
    process.stderr.write(`${learner}: done\n`);
    return [
      learner,
      {
        lessons: runs.length,
        found: mean(runs.map((r) => Number(r.found))),
        minutes: mean(runs.map((r) => r.minutes)),
        needlessByTheTutor: mean(runs.map((r) => r.needless)),
        minutesAgainstTheBestWay: mean(runs.map((r) => r.minutes / r.best)),
        worstAgainstTheBestWay: Number(Math.max(...runs.map((r) => r.minutes / r.best)).toFixed(3)),
      },
    ];
  });
  return {
    drawn: DRAWN,
    offered,
    refused,
    byTwist,
    complaintAgrees: agrees,
    bestWayEndsRight: solved,
    learners: Object.fromEntries(learners) as object,
  };
}
