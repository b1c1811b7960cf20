import { closeSync, createReadStream, openSync, writeSync } from 'node:fs';
import { entryOf } from '@pondu/core';
import {
  houseSchema,
  JOB_LIMITS,
  jobBodySchema,
  jobEventSchema,
  jobFileSchema,
  pictureFileSchema,
  storedMachineSchema,
  ponduFileSchema,
  snagSchema,
} from '@pondu/core/schema';
import chain from 'stream-chain';
import Assembler from 'stream-json/assembler.js';
import { parser } from 'stream-json';
import { z } from 'zod';
import { pictureFrom, sha256 } from '../store/pictures.ts';
import { fieldsOf, MOST_TOLD, Problem, type FieldError } from '../http/problem.ts';
import type { MachineLine, ReadImport, RowLine, Spool } from './spool.ts';

type Token = parser.Token;

/** After so many problems the rest of a file is not looked at. */
const MOST_LOOKED_AT = 1000;
/** A machine's own figures, or one job with its events: beyond this it is a mistake. Tokens of JSON, of two bytes at least. */
const MOST_TOKENS = JOB_LIMITS.bytes / 2;

/** Stops the reading of a file that is wrong beyond use. */
class Enough extends Error {}

const machineHead = z.object({ id: jobFileSchema.shape.id, machine: storedMachineSchema });
const jobHead = jobBodySchema.extend({ id: jobFileSchema.shape.id });

class Lines {
  private readonly file: number;
  private held: string[] = [];
  constructor(path: string) {
    this.file = openSync(path, 'w');
  }
  add(line: MachineLine | RowLine): void {
    this.held.push(JSON.stringify(line));
    if (this.held.length >= 500) this.flush();
  }
  private flush(): void {
    if (this.held.length) writeSync(this.file, `${this.held.join('\n')}\n`);
    this.held = [];
  }
  close(): void {
    this.flush();
    closeSync(this.file);
  }
}

/** Takes the tokens of a file one by one, holds one machine's head or one job at a time, and gathers what is wrong. */
class FileReader {
  readonly fields: FieldError[] = [];
  count = 0;
  rows = 0;
  house: string | null = null;
  private readonly head: Record<string, unknown> = {};
  private readonly machines: Lines;
  private readonly lines: Lines;
  private where: 'before' | 'file' | 'machines' | 'machine' | 'jobs' | 'after' = 'before';
  private key = '';
  private machine: Record<string, unknown> = {};
  private machineNumber = -1;
  private jobNumber = -1;
  private readonly pictures: (() => Promise<void>)[] = [];
  private held: Assembler | undefined;
  private tokens = 0;
  private take: (value: unknown) => void = () => undefined;

  constructor(spool: Spool) {
    this.machines = new Lines(spool.machines);
    this.lines = new Lines(spool.rows);
  }

  private wrong(field: string, message: string): void {
    this.count++;
    if (this.fields.length < MOST_TOLD) this.fields.push({ field, message });
    if (this.count >= MOST_LOOKED_AT) throw new Enough();
  }
  private check<S extends z.ZodType>(schema: S, value: unknown, at: string): z.output<S> | undefined {
    const read = schema.safeParse(value);
    if (read.success) return read.data;
    for (const { field, message } of fieldsOf(read.error)) this.wrong([at, field].filter(Boolean).join('.'), message);
    return undefined;
  }

  /** Puts the value that begins with this token together, then gives it to `take`. */
  private hold(token: Token, take: (value: unknown) => void): void {
    this.held = new Assembler();
    this.tokens = 0;
    this.take = take;
    this.feed(token);
  }
  private feed(token: Token): void {
    const held = this.held!;
    held.consume(token as never);
    if (++this.tokens > MOST_TOKENS) {
      this.wrong(this.place(), 'This is far larger than a machine or a job can be.');
      throw new Enough();
    }
    if (!held.done) return;
    this.held = undefined;
    this.take(held.current);
  }
  private place(): string {
    if (this.where === 'jobs') return `machines.${this.machineNumber}.jobs.${this.jobNumber}`;
    return this.where === 'machine' ? `machines.${this.machineNumber}.${this.key}` : this.key;
  }

  token(token: Token): void {
    if (this.held) return this.feed(token);
    const { name } = token;
    switch (this.where) {
      case 'before':
        if (name !== 'startObject') {
          this.wrong('', 'This is not a Pondu file.');
          throw new Enough();
        }
        this.where = 'file';
        return;
      case 'file':
        if (name === 'keyValue') this.key = token.value;
        else if (name === 'endObject') this.where = 'after';
        else if (this.key === 'machines' && name === 'startArray') {
          this.head['machines'] = [];
          this.where = 'machines';
        } else this.hold(token, (value) => void (this.head[this.key] = value));
        return;
      case 'machines':
        if (name === 'endArray') this.where = 'file';
        else {
          this.machineNumber++;
          this.jobNumber = -1;
          this.machine = {};
          if (name === 'startObject') this.where = 'machine';
          else this.hold(token, (value) => void this.check(machineHead, value, `machines.${this.machineNumber}`));
        }
        return;
      case 'machine':
        if (name === 'keyValue') this.key = token.value;
        else if (name === 'endObject') {
          this.endMachine();
          this.where = 'machines';
        } else if (this.key === 'jobs' && name === 'startArray') this.where = 'jobs';
        else this.hold(token, (value) => void (this.machine[this.key] = value));
        return;
      case 'jobs':
        if (name === 'endArray') this.where = 'machine';
        else {
          this.jobNumber++;
          this.hold(token, (value) => this.job(value));
        }
        return;
      case 'after':
        // Nothing that belongs to the file comes behind its end.
        return;
    }
  }

  private endMachine(): void {
    const at = `machines.${this.machineNumber}`;
    if ('jobs' in this.machine) this.wrong(`${at}.jobs`, 'Jobs are a list.');
    const read = this.check(machineHead, this.machine, at);
    // A wrong one keeps its place, though nothing of the file will be written.
    this.machines.add(read ? [read.id, read.machine.name, JSON.stringify(read.machine)] : ['', '', '{}']);
    this.rows++;
  }

  private job(value: unknown): void {
    const at = this.place();
    const given = this.check(z.looseObject({}), value, at);
    if (!given) return;
    const { events = [], snags = [], pictures = [], ...rest } = given as Record<string, unknown>;
    const head = this.check(jobHead, rest, at);
    const id = head?.id ?? '';
    if (head) {
      const { id: _id, ...body } = head;
      this.lines.add(['job', this.machineNumber, id, JSON.stringify(body)]);
    }
    for (const [i, each] of this.list(events, JOB_LIMITS.events, `${at}.events`).entries()) {
      const event = this.check(jobEventSchema, each, `${at}.events.${i}`);
      if (event) this.lines.add(['event', id, entryOf(event).id, event.type, JSON.stringify(event)]);
    }
    for (const [i, each] of this.list(snags, JOB_LIMITS.snags, `${at}.snags`).entries()) {
      const snag = this.check(snagSchema, each, `${at}.snags.${i}`);
      if (snag) this.lines.add(['snag', id, snag.id, JSON.stringify(snag)]);
    }
    for (const [i, each] of this.list(pictures, JOB_LIMITS.pictures, `${at}.pictures`).entries())
      this.picture(id, each, `${at}.pictures.${i}`);
    this.rows += 1;
  }
  private picture(jobId: string, value: unknown, at: string): void {
    const read = this.check(pictureFileSchema, value, at);
    if (!read) return;
    const bytes = Buffer.from(read.base64, 'base64');
    if (sha256(bytes) !== read.sha256)
      this.wrong(`${at}.sha256`, 'This photo is not what its hash says: the file is damaged.');
    else this.pictures.push(() => this.looked(jobId, read.id, bytes, at));
  }
  /** Through the same door as a photo that is sent. */
  private async looked(jobId: string, id: string, sent: Buffer, at: string): Promise<void> {
    try {
      const { type, bytes } = await pictureFrom(sent, id);
      this.lines.add(['picture', jobId, id, type, bytes.toString('base64')]);
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      this.wrong(at, error.message);
    }
  }
  /** Looks at the pictures met so far, before the file is read on. */
  async look(): Promise<void> {
    for (let next = this.pictures.shift(); next; next = this.pictures.shift()) await next();
  }
  private list(value: unknown, most: number, at: string): unknown[] {
    if (!Array.isArray(value)) this.wrong(at, 'This is a list.');
    else if (value.length > most) this.wrong(at, `At most ${most} belong here; there are ${value.length}.`);
    else return value;
    return [];
  }

  end(): void {
    if (this.where !== 'after') return;
    this.check(ponduFileSchema, { ...this.head, machines: this.head['machines'], house: undefined }, '');
    if (this.head['house'] !== undefined) {
      const house = this.check(houseSchema, this.head['house'], 'house');
      this.house = house ? JSON.stringify(house) : null;
    }
  }
  close(): void {
    this.machines.close();
    this.lines.close();
  }
  get meets(): boolean {
    return this.pictures.length > 0;
  }
  get whole(): boolean {
    return this.where === 'after';
  }
}

/**
 * Reads a `.pondu.json` of any size: what is good goes into the spool, what is wrong is told by the field. Memory is
 * that of its largest job; time is bounded where it is wrong. Made for a thread of its own.
 */
export async function readImport(path: string, spool: Spool): Promise<ReadImport> {
  const reader = new FileReader(spool);
  let more = false;
  try {
    const tokens = chain([createReadStream(path), parser({ streamValues: false })]);
    for await (const token of tokens as AsyncIterable<Token>) {
      reader.token(token);
      if (reader.meets) await reader.look();
    }
    reader.end();
  } catch (error) {
    if (error instanceof Enough) more = true;
    else if (isSyntax(error)) return notJson();
    else throw error;
  } finally {
    reader.close();
  }
  if (reader.count > 0) return { ok: false, code: 'invalid', fields: reader.fields, count: reader.count, more };
  if (!reader.whole) return notJson();
  return { ok: true, house: reader.house, rows: reader.rows };
}

/** The parser's own complaint about what is not JSON. */
const isSyntax = (error: unknown): boolean => error instanceof Error && /parser/i.test(error.message);

const notJson = (): ReadImport => ({
  ok: false,
  code: 'not-json',
  fields: [{ field: '', message: 'This is not a whole JSON file: it may be cut off, or something else.' }],
  count: 1,
  more: false,
});
