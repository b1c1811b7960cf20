import { Tracer } from '@pondu/core';
import { houseSchema, jobEventSchema, machineBodySchema, ponduFileSchema } from '@pondu/core/schema';
import type { Request } from 'express';
import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { Problem } from '../src/http/problem.ts';
import { body, expectedVersion, query } from '../src/http/request.ts';
import { parseWords } from '../src/compute/parseWords.ts';
import { readingsCsv } from '../src/compute/readingsCsv.ts';
import { WriteQueue } from '../src/store/queue.ts';
import { stale } from '../src/store/versions.ts';
import { machineBody } from './start.ts';

const request = (part: { body?: unknown; query?: unknown; headers?: Record<string, string> }) =>
  ({ ...part, get: (name: string) => part.headers?.[name] }) as unknown as Request;
const refusal = (work: () => unknown): Problem => {
  try {
    work();
  } catch (error) {
    if (error instanceof Problem) return error;
    throw error;
  }
  throw new Error('Nothing was refused');
};

describe('the edge', () => {
  const schema = z.object({ name: z.string().min(1, 'Give a name.'), size: z.number() });
  it('reads a body by its schema and names every field that is wrong', () => {
    expect(body(request({ body: { name: 'x', size: 3 } }), schema)).toEqual({ name: 'x', size: 3 });
    const problem = refusal(() => body(request({ body: { name: '' } }), schema));
    expect(problem.status).toBe(422);
    expect((problem.facts['fields'] as { field: string }[]).map((f) => f.field)).toEqual(['name', 'size']);
    expect(problem.message).toBe('Give a name.');
  });
  it('takes a missing body for an empty one', () => {
    expect(refusal(() => body(request({}), schema)).status).toBe(422);
  });
  it('reads a query the same way', () => {
    expect(query(request({ query: { name: 'x' } }), schema.pick({ name: true }))).toEqual({ name: 'x' });
    expect(refusal(() => query(request({ query: {} }), schema.pick({ name: true }))).status).toBe(422);
  });
  it.each([
    ['"3"', 3],
    ['3', 3],
    ['W/"12"', 12],
    ['*', undefined],
    [undefined, undefined],
  ])('If-Match %s is version %s', (header, version) => {
    expect(expectedVersion(request(header === undefined ? {} : { headers: { 'if-match': header } }))).toBe(version);
  });
  it('refuses a version that is no number', () => {
    expect(refusal(() => expectedVersion(request({ headers: { 'if-match': '"latest"' } }))).code).toBe('bad-version');
  });
  it('refuses what was based on an older version, lets the rest pass', () => {
    expect(refusal(() => stale('this job', 4, 3)).status).toBe(412);
    expect(() => stale('this job', 4, 4)).not.toThrow();
    expect(() => stale('this job', 4, undefined)).not.toThrow();
  });
  it('says every failure of a typed reading in a sentence', () => {
    for (const failure of [
      { code: 'empty' },
      { code: 'unreadable', text: 'x' },
      { code: 'unknown-unit', text: '1 x', unit: 'x' },
      { code: 'wrong-dimension', text: '1 V', unit: 'V', found: 'voltage', wanted: 'resistance' },
      { code: 'negative', text: '-1', dimension: 'resistance' },
      { code: 'open-not-possible', text: 'OL', wanted: 'voltage' },
      { code: 'not-a-word', text: 'x', words: ['good', 'none'] },
    ] as const)
      expect(parseWords(failure)).toMatch(/^[A-Z"].*\.$/);
  });
});

describe('one writer at a time', () => {
  it('runs writes in the order in which they came, never two at once', async () => {
    const queue = new WriteQueue();
    const order: number[] = [];
    let running = 0;
    const write = (n: number, ms: number) =>
      queue.run(async () => {
        expect(++running).toBe(1);
        await new Promise((resolve) => setTimeout(resolve, ms));
        running--;
        order.push(n);
        return n;
      });
    expect(await Promise.all([write(1, 20), write(2, 1), write(3, 5)])).toEqual([1, 2, 3]);
    expect(order).toEqual([1, 2, 3]);
  });
  it('goes on after one that failed, and tells the one who asked', async () => {
    const queue = new WriteQueue();
    const failed = queue.run(() => Promise.reject(new Error('disk full')));
    const next = queue.run(() => Promise.resolve('written'));
    await expect(failed).rejects.toThrow('disk full');
    await expect(next).resolves.toBe('written');
    await queue.idle();
  });
});

describe('readings as CSV', () => {
  const tracer = new Tracer(machineBodySchema.parse(machineBody), houseSchema.parse({}));
  const event = (value: unknown, note = '', checkId = 'coil-primary') =>
    jobEventSchema.parse({
      type: 'reading',
      reading: { id: 'r', checkId, value, note, at: '2026-01-01T00:00:00Z' },
    });
  const csv = (read: ReturnType<typeof event>, shop: unknown = {}) =>
    readingsCsv(tracer, houseSchema.parse(shop), [read]).split('\r\n')[1]!;
  const row = (value: unknown, note = '') => csv(event(value, note));
  it('gives SI, OL or the word, and what a person would read', () => {
    expect(row({ kind: 'number', value: 1.52 })).toContain('coil-primary,Coil primary resistance,1.52,1.52 Ω');
    expect(row({ kind: 'open' })).toContain(',OL,OL,');
  });
  it('says them in the units and the words of the shop; the figure beside them stays SI', () => {
    const gap = event({ kind: 'number', value: 0.381e-3 }, '', 'points-gap');
    expect(csv(gap, { units: { length: 'thou' } })).toMatch(/,0\.000381,15(\.0)? thou,/);
    const short = event({ kind: 'open' }, '', 'points-line-to-earth');
    expect(csv(short)).toContain('Points line to earth');
    expect(csv(short, { vocabulary: 'american' })).toContain('Points line to ground');
  });
  it('quotes what needs it and disarms what a spreadsheet would run', () => {
    expect(row({ kind: 'open' }, 'hot, then "cold"')).toContain('"hot, then ""cold"""');
    expect(row({ kind: 'open' }, '=HYPERLINK("x")')).toContain(`"'=HYPERLINK(""x"")"`);
    expect(row({ kind: 'open' }, '-0.3 V before')).toContain(`,'-0.3 V before`);
    expect(row({ kind: 'open' }, '-2+3+cmd|x')).toContain(`,'-2+3+cmd|x`);
    expect(row({ kind: 'open' }, '+41 came by phone')).toContain(`,'+41 came by phone`);
    // A figure below zero is a figure.
    expect(row({ kind: 'number', value: -0.3 })).toContain(',-0.3,');
  });
});

describe('the schemas', () => {
  it('fill in what may be left out', () => {
    const machine = machineBodySchema.parse(machineBody);
    expect(machine).toMatchObject({ plates: {}, maker: '', worth: 2000 });
    expect(machine.fitOut.marine).toBe(false);
  });
  it.each([
    ['five cylinders', { fitOut: { ...machineBody.fitOut, cylinders: 5 } }],
    ['thirty-six volts', { fitOut: { ...machineBody.fitOut, volts: 36 } }],
    [
      'another kind of trail',
      { fitOut: { ...machineBody.fitOut, trails: [{ trail: 'spark', kind: 'steam', options: {} }] } },
    ],
    ['no name', { name: '   ' }],
    ['a firing order in words', { firingOrder: 'one then three' }],
  ])('refuse %s', (_name, change) => {
    expect(machineBodySchema.safeParse({ ...machineBody, ...change }).success).toBe(false);
  });
  it('refuse a time that is none, and an event of no kind', () => {
    expect(
      jobEventSchema.safeParse({
        type: 'reading',
        reading: { id: 'r', checkId: 'x', value: { kind: 'open' }, at: 'yesterday' },
      }).success,
    ).toBe(false);
    expect(jobEventSchema.safeParse({ type: 'guess' }).success).toBe(false);
  });
  it('tell a file that is not ours from one of another version', () => {
    const said = (file: unknown) => ponduFileSchema.safeParse(file).error!.issues[0]!.message;
    expect(said({ version: 1, machines: [] })).toMatch('not a Pondu file');
    expect(said({ format: 'pondu', version: 3, machines: [] })).toMatch('another version');
  });
});
