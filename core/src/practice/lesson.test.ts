import { describe, expect, it } from 'vitest';
import { house, machine } from '../__tests__/machines.ts';
import { INSTRUMENTS } from '../instruments/index.ts';
import { seededRandom } from '../random/lcg.ts';
import type { Move, MoveAsk } from '../schema/practice.ts';
import { Tracer } from '../tracing/trace.ts';
import { adviseMove } from './bestWay.ts';
import { deal, NoLesson, type Dealt } from './deal.ts';
import { answerMove } from './moves.ts';
import { PlayedMachine } from './playedMachine.ts';
import { reviewOf } from './review.ts';
import { standingOf } from './standing.ts';
import { tutored } from './tutor.ts';

const body = machine();
const tracer = new Tracer(body, house);
const dealt = (of: Partial<Parameters<typeof deal>[0]> = {}): Dealt =>
  deal({ machine: body, house, twists: [], seed: 4, ...of }, tracer);
const check = (checkId: string, understood = true): MoveAsk => ({ kind: 'check', checkId, understood });

/** Plays these moves; gives them with their answers. */
function played({ lesson, truth }: Dealt, asks: readonly MoveAsk[]): Move[] {
  const moves: Move[] = [];
  for (const ask of asks) moves.push(answerMove({ tracer, lesson, truth, moves }, ask));
  return moves;
}
const standsAfter = (of: Dealt, moves: readonly Move[]) =>
  standingOf(of.lesson, moves, (id) => tracer.weigher.check(id));

describe('a lesson', () => {
  const condenser = dealt({ faults: ['condenser.shorted'] });
  it('is dealt alike from the same seed, and otherwise from another', () => {
    expect(dealt({ seed: 8 })).toEqual(dealt({ seed: 8 }));
    const many = Array.from({ length: 6 }, (_, k) => dealt({ seed: 20 + k }).truth.faults[0]!.id);
    expect(new Set(many).size).toBeGreaterThan(2);
  });
  it('answers as the solved machine does, within its instrument’s own error', () => {
    const moves = played(condenser, [check('battery-rest'), check('points-line-to-earth')]);
    const hidden = PlayedMachine.of(tracer.model, condenser.lesson, condenser.truth).at(new Set());
    for (const [k, id] of ['battery-rest', 'points-line-to-earth'].entries()) {
      const own = tracer.weigher.check(id)!;
      const { answer } = moves[k]!;
      const again = hidden.read(own, seededRandom(k + 99));
      if (answer.kind !== 'reading' || answer.value.kind !== 'number' || again.kind !== 'number') throw new Error(id);
      const error = INSTRUMENTS[own.instrument].error(answer.value.value);
      expect(Math.abs(answer.value.value - again.value)).toBeLessThan(10 * error);
    }
  });
  it('refuses once what would hurt and says why; passed over, it is done and counted', () => {
    const moves = played(condenser, [check('coil-feed-cranking', false), check('coil-feed-cranking', false)]);
    const { cautions } = tracer.weigher.check('coil-feed-cranking')!;
    expect(moves[0]).toMatchObject({ answer: { kind: 'refused', cautions }, minutes: 0 });
    expect(moves[1]).toMatchObject({ answer: { kind: 'reading', passedOver: cautions } });
    const read = played(condenser, [check('coil-feed-cranking'), check('coil-feed-cranking', false)]);
    // Read once, it is not asked again.
    expect(read.map((m) => m.answer)).toMatchObject([{ passedOver: [] }, { passedOver: [] }]);
  });
  it('counts minutes as the trace does: what is open stays open', () => {
    const [first, second] = played(condenser, [check('look-points'), check('points-gap')]);
    const own = tracer.weigher.check('look-points')!;
    expect(first!.minutes).toBeGreaterThan(own.minutes);
    expect(second!.minutes).toBe(tracer.weigher.check('points-gap')!.minutes);
  });
  it('is mended by its own repair alone, and says so when it is tried', () => {
    const tried = (repairId: string) => played(condenser, [{ kind: 'fit', repairId }, check('try-it')]).at(-1)!.answer;
    expect(tried('coil.replace')).not.toMatchObject({ value: { word: 'runs even' } });
    expect(tried('condenser.replace')).toMatchObject({ value: { word: 'runs even' } });
  });
  it('advises by what was read: the trail, its half, and then the very check that the trace proposes', () => {
    const hint: MoveAsk = { kind: 'hint' };
    const moves = played(condenser, [hint, hint, hint]);
    const hints = moves.map((m) => m.answer.kind === 'hint' && m.answer.hint);
    const advised = adviseMove(tracer, condenser.lesson, []);
    expect(hints).toMatchObject([
      { step: 'trail', trail: 'spark' },
      { step: 'half', trail: 'spark' },
      { step: 'check', checkId: advised?.kind === 'check' && advised.checkId },
    ]);
    expect(standsAfter(condenser, moves)).toMatchObject({ hints: 3, hintsHere: 3, minutes: 0 });
  });
  it('tells what the owner knows only when he is asked', () => {
    const fitted = dealt({ faults: ['condenser.shorted'], twists: ['part fitted yesterday'] });
    expect(JSON.stringify(fitted.lesson.complaint)).not.toMatch(/new part|condenser/);
    const moves = played(fitted, [{ kind: 'ask', what: 'before' }]);
    const { complaint } = standsAfter(fitted, moves);
    expect(complaint.before).toMatch(/new part/);
    expect(complaint.recent).toEqual([{ station: expect.any(String) as string, what: 'new', ago: 'just before' }]);
  });
  it('with heat: away while it is cold, there when it has been warmed long enough, away again after it has stood', () => {
    const hot = dealt({ faults: ['coil.primary-open'], twists: ['comes and goes'] });
    expect(hot.lesson.complaint.pattern).toBe('hot');
    const present = (asks: readonly MoveAsk[]) => {
      const { answer } = played(hot, [...asks, check('battery-rest')]).at(-1)!;
      return answer.kind === 'reading' && answer.conditions.faultPresent;
    };
    const warm: MoveAsk = { kind: 'wait', how: 'warm', minutes: 40 };
    expect(present([])).toBe('no');
    expect(present([warm])).toBe('yes');
    expect(present([warm, { kind: 'wait', how: 'stand', minutes: 240 }])).toBe('no');
  });
  it('an engine that does not fire cannot be run warm', () => {
    const run: MoveAsk = { kind: 'wait', how: 'run', minutes: 20 };
    expect(played(condenser, [run])[0]!.answer).toEqual({ kind: 'waited', ran: false });
    expect(played(condenser, [{ kind: 'fit', repairId: 'condenser.replace' }, run])[1]!.answer).toMatchObject({
      ran: true,
    });
  });
  it('on a machine whose ballast somebody bypassed, reads what is there and not what the book says', () => {
    const ballasted = machine({ ballast: 'external' });
    const own = new Tracer(ballasted, house);
    const feed = (twists: readonly 'bypassed before'[]) => {
      const of = deal({ machine: ballasted, house, twists, seed: 6, faults: ['lead-2.open'] }, own);
      const { lesson, truth } = of;
      const { answer } = answerMove({ tracer: own, lesson, truth, moves: [] }, check('coil-feed-closed'));
      return answer.kind === 'reading' && answer.value.kind === 'number' ? answer.value.value : NaN;
    };
    expect(feed([])).toBeLessThan(9);
    expect(feed(['bypassed before'])).toBeGreaterThan(11);
  });
  it('is not offered where it cannot be had', () => {
    const why = (of: object, on = body) => {
      try {
        deal({ machine: on, house, twists: [], seed: 4, ...of });
      } catch (error) {
        return error instanceof NoLesson && error.code;
      }
      return undefined;
    };
    expect(why({ faults: ['no.such'] })).toBe('no such fault');
    expect(why({ twists: ['bypassed before'] }, machine({ ballast: 'none' }))).toBe('no ballast');
  });
});

describe('the tutor', () => {
  const condenser = dealt({ faults: ['condenser.shorted'] });
  const review = (asks: readonly MoveAsk[]) =>
    reviewOf(tracer, condenser.lesson, condenser.truth, played(condenser, [...asks, { kind: 'end' }]));
  it('knows what a check was worth beside the best, and what it took away', () => {
    const moves = played(condenser, [check('battery-rest'), check('points-line-to-earth')]);
    const worth = tutored(tracer, condenser.lesson, moves, 0)!;
    expect(worth.best!.bits / worth.best!.minutes).toBeGreaterThanOrEqual(worth.bits / worth.minutes);
    expect(worth.needless).toBeGreaterThanOrEqual(0);
    const best = condenser.truth.best.flatMap((b) => (b.kind === 'check' ? [check(b.ref)] : []));
    const told = tutored(tracer, condenser.lesson, played(condenser, best), best.length - 1)!;
    expect(told.openAfter).toBeLessThan(told.openBefore);
    expect(told.gone.length).toBeGreaterThan(0);
    for (const { before, after } of told.gone) expect(before).toBeGreaterThan(after);
    expect(tutored(tracer, condenser.lesson, played(condenser, [{ kind: 'hint' }]), 0)).toBeUndefined();
  });
  it('finds nothing to say of the best way, tried to its end', () => {
    const best: MoveAsk[] = condenser.truth.best.map((b) =>
      b.kind === 'fit' ? { kind: 'fit', repairId: b.ref } : check(b.ref),
    );
    const of = review([...best, check('try-it')]);
    expect(of).toMatchObject({ found: true, proved: true, findings: [], needless: 0 });
    expect(of.way.at(-1)!.belief).toBe(1);
  });
  it('names what was bought in vain on one witness, what was passed over and what was not proved', () => {
    const of = review([
      { kind: 'fit', repairId: 'coil.replace' },
      check('coil-feed-cranking', false),
      check('coil-feed-cranking', false),
      { kind: 'fit', repairId: 'condenser.replace' },
    ]);
    expect(of.findings.map((f) => f.id)).toEqual(['unproved', 'fitted in vain', 'one witness', 'caution passed over']);
    expect(of.findings.find((f) => f.id === 'fitted in vain')).toMatchObject({ place: 0, count: 1 });
    expect(of.money).toBeGreaterThan(0);
  });
  it('names readings that went on after it was known, and those that skipped what would have told most', () => {
    const leads = [1, 2, 3, 4].map((n) => check(`lead-${n}-ohms`));
    expect(review(leads).findings.map((f) => f.id)).toEqual(expect.arrayContaining(['not found', 'splits skipped']));
    const known = condenser.truth.best.filter((b) => b.kind === 'check').map((b) => check(b.ref));
    const on = review([...known, ...leads, { kind: 'fit', repairId: 'condenser.replace' }]);
    expect(on.findings.map((f) => f.id)).toContain('went on');
    expect(on.needless).toBeGreaterThan(3);
  });
  it('does not take a pass for proof while the fault was away', () => {
    const hot = dealt({ faults: ['coil.primary-open'], twists: ['comes and goes'] });
    const moves = played(hot, [check('battery-rest'), check('spark-coil-lead'), { kind: 'end' }]);
    const of = reviewOf(tracer, hot.lesson, hot.truth, moves);
    expect(of.findings).toContainEqual({ id: 'passed while away', place: 0, count: 2 });
  });
});
