import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { adviseMove, Tracer, type Review, type StoredLesson } from '@pondu/core';
import { houseSchema, storedMachineSchema, type MoveAsk } from '@pondu/core/schema';
import { machineBody, newMachine, problemIn, start, type Started } from './start.ts';

let s: Started;
let machineId: string;
beforeAll(async () => {
  s = await start();
  machineId = await newMachine(s);
});
afterAll(() => s.stop());

const body = (of: object) => storedMachineSchema.parse({ ...machineBody, ...of });
const tracer = new Tracer(body({}), houseSchema.parse({}));

const begin = async (ask: object) =>
  (
    await s.api
      .post('/api/practice')
      .send({ machineId, ...ask })
      .expect(201)
  ).body as StoredLesson;
const move = async (lesson: StoredLesson, ask: MoveAsk) =>
  (await s.api.post(`/api/practice/${lesson.id}/moves`).send({ place: lesson.moves.length, ask }).expect(201))
    .body as StoredLesson;
/** Everything that can be asked of a lesson by reading. */
const asked = async (id: string): Promise<string> => {
  const texts = await Promise.all(
    [`/api/practice/${id}`, '/api/practice', '/api/practice/course', `/api/practice/${id}/review`, '/api/export'].map(
      async (path) => (await s.api.get(path)).text,
    ),
  );
  return texts.join('\n');
};

describe('a lesson', () => {
  it('is played by advice to its end; what is hidden is told then, and not before', async () => {
    let lesson = await begin({ faults: ['condenser.shorted'], seed: 5 });
    expect(lesson.lesson).toMatchObject({ set: true, seed: 5 });
    for (let k = 0; k < 30; k++) {
      const before = await asked(lesson.id);
      expect(before).not.toContain('condenser.shorted');
      expect(before).not.toContain('"truth"');
      const ask = adviseMove(tracer, lesson.lesson, lesson.moves);
      if (!ask) break;
      lesson = await move(lesson, ask);
      if (ask.kind === 'fit') break;
    }
    expect(lesson.view.mended).toEqual(['condenser.replace']);
    lesson = await move(lesson, { kind: 'check', checkId: 'try-it', understood: true });
    expect(lesson.moves.at(-1)!.answer).toMatchObject({ kind: 'reading', value: { word: 'runs even' } });
    problemIn(await s.api.get(`/api/practice/${lesson.id}/review`).expect(409));
    lesson = await move(lesson, { kind: 'end' });
    const { review } = (await s.api.get(`/api/practice/${lesson.id}/review`).expect(200)).body as { review: Review };
    expect(review).toMatchObject({ found: true, proved: true, findings: [] });
    expect(review.truth.map((f) => f.id)).toEqual(['condenser.shorted']);
    const best = review.best.reduce((sum, b) => sum + b.minutes, 0);
    // The same way, and the trial after it.
    expect(review.minutes).toBeCloseTo(best + 2, 6);
    problemIn(
      await s.api
        .post(`/api/practice/${lesson.id}/moves`)
        .send({ place: lesson.moves.length, ask: { kind: 'hint' } })
        .expect(422),
    );
  });
  it('is the same for two who play one seed, and their ways lie side by side', async () => {
    const [one, other] = [await begin({ seed: 77 }), await begin({ seed: 77 })];
    expect(one.lesson).toEqual(other.lesson);
    const ask = { kind: 'check', checkId: 'battery-rest', understood: true } as const;
    expect((await move(one, ask)).moves).toEqual((await move(other, ask)).moves);
    for (const lesson of [one, other]) {
      const place = 1;
      await s.api
        .post(`/api/practice/${lesson.id}/moves`)
        .send({ place, ask: { kind: 'end' } })
        .expect(201);
      await s.api.get(`/api/practice/${lesson.id}/review`).expect(200);
    }
    const { others, review } = (await s.api.get(`/api/practice/${one.id}/review`)).body as {
      others: { id: string; found: boolean }[];
      review: Review;
    };
    expect(others).toMatchObject([{ id: other.id, found: false }]);
    expect(review.findings.map((f) => f.id)).toContain('not found');
  });
  it('leaves and enters as a file: the same machine again; what a teacher set leaves once it is over', async () => {
    const drawn = await begin({ seed: 41, twists: ['a helper reads'] });
    const { body: file } = await s.api.get(`/api/practice/${drawn.id}/file`).expect(200);
    expect(file).toMatchObject({ format: 'pondu-lesson', seed: 41 });
    expect(file).not.toHaveProperty('faults');
    const again = (await s.api.post('/api/practice').send({ file }).expect(201)).body as StoredLesson;
    expect(again.lesson).toEqual(drawn.lesson);
    const set = await begin({ faults: ['condenser.shorted'], seed: 5 });
    problemIn(await s.api.get(`/api/practice/${set.id}/file`).expect(409));
    await move(set, { kind: 'end' });
    const { body: told } = await s.api.get(`/api/practice/${set.id}/file`).expect(200);
    expect(told).toMatchObject({ faults: ['condenser.shorted'] });
    problemIn(
      await s.api
        .post('/api/practice')
        .send({ file: { format: 'other' } })
        .expect(422),
    );
  });
  it('refuses a move that comes after others than its player saw, and what it cannot do', async () => {
    const lesson = await begin({ seed: 3 });
    const ask = { kind: 'ask', what: 'since' } as const;
    await move(lesson, ask);
    const post = (place: number, sent: object) =>
      s.api.post(`/api/practice/${lesson.id}/moves`).send({ place, ask: sent });
    expect(problemIn(await post(0, ask).expect(409)).body.type).toBe('urn:pondu:moved');
    expect(problemIn(await post(1, { kind: 'check', checkId: 'no-such' }).expect(422)).body.title).toMatch(
      /no such check/,
    );
    expect(problemIn(await post(1, { kind: 'fit', repairId: 'x.y' }).expect(422)).body.title).toMatch(/no such repair/);
    problemIn(await post(1, { kind: 'wait', how: 'run', minutes: 0 }).expect(422));
    problemIn(await s.api.get(`/api/practice/${lesson.id}/moves/7/worth`).expect(404));
  });
  it('cannot be had with a fault that the machine has not got, and says so', async () => {
    const none = await s.api
      .post('/api/practice')
      .send({ machineId, faults: ['belt.gone'] })
      .expect(422);
    expect(problemIn(none).body.title).toMatch(/cannot fail/);
    problemIn(await s.api.post('/api/practice').send({ machineId, course: 1 }).expect(422));
    problemIn(await s.api.post('/api/practice').send({ course: 50 }).expect(404));
    problemIn(await s.api.get('/api/practice/none').expect(404));
  });
  it('stands apart: neither machine nor job nor export knows of it', async () => {
    const lesson = await begin({ seed: 9 });
    const jobs = (await s.api.get('/api/jobs?stage=any')).body as { rows: unknown[] };
    expect(jobs.rows).toEqual([]);
    expect((await s.api.get('/api/export')).text).not.toContain(lesson.id);
    const listed = (await s.api.get('/api/practice')).body as { lessons: { id: string }[] };
    expect(listed.lessons[0]!.id).toBe(lesson.id);
    await s.api.delete(`/api/practice/${lesson.id}`).set('x-pondu', '1').send({}).expect(204);
    problemIn(await s.api.get(`/api/practice/${lesson.id}`).expect(404));
  });
});
