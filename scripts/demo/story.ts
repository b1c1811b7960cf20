/** What a demo story is made of: a job that is played, and the file it ends in. */
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { createHash } from 'node:crypto';
import {
  freeProbeId,
  HiddenMachine,
  INSTRUMENTS,
  formatQuantity,
  lightProbe,
  proveOut,
  seededRandom,
  Tracer,
  type Complaint,
  type Conditions,
  type Fix,
  type House,
  type JobEvent,
  type MachineBody,
  type Photo,
  type Reading,
  type ReadingValue,
  type SheetBody,
  type Snag,
} from '@pondu/core';
import { FILE_VERSION, houseSchema, ponduFileSchema, type JobFile } from '@pondu/core/schema';

const house: House = houseSchema.parse({ shopName: 'Morrowick shared workshop', currency: '€', ratePerHour: 42 });

/** A job being played: the hidden machine answers, the tracer asks. */
export class Story {
  readonly events: JobEvent[] = [];
  readonly tracer: Tracer;
  private minute = 0;
  private readonly seed: number;
  private readonly complaint: Complaint;
  private readonly start: Date;
  private faults: string[];
  private serial = 0;
  private readonly jobId: string;

  constructor(
    jobId: string,
    machine: MachineBody,
    complaint: Complaint,
    faults: string[],
    seed: number,
    start: string,
  ) {
    this.jobId = jobId;
    this.tracer = new Tracer(machine, house);
    this.complaint = complaint;
    this.faults = faults;
    this.seed = seed;
    this.start = new Date(start);
  }
  at(): string {
    return new Date(this.start.getTime() + this.minute * 60_000).toISOString();
  }
  wait(minutes: number): this {
    this.minute += minutes;
    return this;
  }
  private id(): string {
    return `${this.jobId}-${++this.serial}`;
  }
  read(checkId: string, now: Partial<Conditions> = {}, note = '', supersedes?: string): Reading {
    const check = this.tracer.weigher.check(checkId);
    if (!check) throw new Error(`No check ${checkId}`);
    const conditions: Conditions = { warmth: 'unknown', faultPresent: 'yes', ...now };
    const there = conditions.faultPresent === 'no' ? [] : this.faults;
    const faults = there.map((id) => this.tracer.model.faults.find((f) => f.id === id)!);
    // The same seed draws the same machine; the meter's own noise differs from check to check.
    const hidden = new HiddenMachine(this.tracer.model, faults, seededRandom(this.seed));
    for (let i = 0; i < this.serial; i++) hidden.read(check);
    const value = rounded(hidden.read(check), checkId, this.tracer);
    this.minute += Math.ceil(check.minutes) + 1;
    const reading: Reading = {
      ...conditions,
      id: this.id(),
      checkId,
      value,
      typed:
        value.kind === 'word' ? value.word : value.kind === 'open' ? 'OL' : shown(value.value, checkId, this.tracer),
      note,
      at: this.at(),
      ...(supersedes ? { supersedes } : {}),
    };
    this.events.push({ type: 'reading', reading });
    return reading;
  }
  /** Follows the tracer's own advice until it calls for a repair. */
  follow(now: Partial<Conditions> = {}, most = 12): string {
    const conditions: Conditions = { warmth: 'unknown', faultPresent: 'yes', ...now };
    for (let i = 0; i < most; i++) {
      const { verdict, ranked } = this.tracer.trace(this.complaint, this.events, conditions);
      if (verdict.kind === 'fix') return verdict.repair.id;
      const next = verdict.kind === 'second check' ? verdict.check : ranked[0]?.check;
      if ((verdict.kind !== 'check' && verdict.kind !== 'second check') || !next) return verdict.kind;
      this.read(next.id, now);
    }
    return 'check';
  }
  fix(repairId: string, how: Fix['how'], parts: string, more: Partial<Fix> = {}): this {
    const repair = this.tracer.model.repairs.get(repairId)!;
    this.minute += repair.minutes;
    const fix: Fix = {
      id: this.id(),
      repairId,
      what: repair.label,
      how,
      parts,
      minutes: repair.minutes,
      money: repair.money,
      temporary: false,
      at: this.at(),
      ...more,
    };
    this.events.push({ type: 'fix', fix });
    this.faults = this.faults.filter((id) => this.tracer.model.faults.find((f) => f.id === id)!.repairId !== repairId);
    return this;
  }
  cause(faultId: string, cause: string, found: 'found' | 'ruled out'): this {
    this.events.push({ type: 'cause', cause: { id: this.id(), faultId, cause, found, note: '', at: this.at() } });
    return this;
  }
  set(figure: string, foundAt: number | null, leftAt: number): this {
    this.events.push({ type: 'setting', setting: { id: this.id(), figure, foundAt, leftAt, at: this.at() } });
    return this;
  }
  prove(now: Partial<Conditions> = {}): this {
    for (const { check, wanted } of proveOut(this.tracer, this.complaint, this.events)) {
      if (wanted.restHours > 0) this.wait(60 * (wanted.restHours + 8));
      const { warmth, under } = wanted;
      this.read(check.id, { faultPresent: 'no', ...(warmth ? { warmth } : {}), ...(under ? { under } : {}), ...now });
    }
    return this;
  }
  /** The timing light at a speed. */
  light(rpm: number, hose: 'on' | 'off' = 'off'): this {
    const probe = lightProbe(rpm, hose);
    this.tracer.weigher.learn(probe);
    this.read(freeProbeId(probe), { warmth: 'hot' }).probe = probe;
    return this;
  }
  sheet(body: SheetBody): this {
    this.minute += 5;
    this.events.push({ type: 'sheet', sheet: { id: this.id(), body, at: this.at() } });
    return this;
  }
  photo(picture: string, more: Partial<Photo>): this {
    this.minute += 2;
    const plain = { station: '', words: '', pins: [], onCard: false, gone: false };
    this.events.push({ type: 'photo', photo: { ...plain, id: this.id(), picture, at: this.at(), ...more } });
    return this;
  }
}

function shown(value: number, checkId: string, tracer: Tracer): string {
  const { dimension } = INSTRUMENTS[tracer.weigher.check(checkId)!.instrument];
  return dimension ? formatQuantity(value, dimension).replace('−', '-') : String(value);
}
/** To what a meter of this kind shows. */
function rounded(value: ReadingValue, checkId: string, tracer: Tracer): ReadingValue {
  if (value.kind !== 'number') return value;
  const { dimension } = INSTRUMENTS[tracer.weigher.check(checkId)!.instrument];
  const step =
    dimension === 'voltage'
      ? 0.01
      : dimension === 'length'
        ? 0.01e-3
        : dimension === 'resistance'
          ? 10 ** Math.max(-1, Math.floor(Math.log10(Math.abs(value.value) || 1)) - 2)
          : 1e-10;
  return { kind: 'number', value: Number((Math.round(value.value / step) * step).toPrecision(6)) };
}

export const complaint = (
  symptom: Complaint['symptom'],
  pattern: Complaint['pattern'],
  words: string,
  since = '',
  before = '',
): Complaint => ({ symptom, pattern, words, since, before });
export const job = (
  id: string,
  c: Complaint,
  stage: JobFile['stage'],
  openedAt: string,
  story: Story,
  more: Partial<JobFile> = {},
): JobFile => ({
  id,
  title: '',
  complaint: c,
  stage,
  waitsFor: '',
  openedAt: new Date(openedAt).toISOString(),
  closedAt: null,
  closedBecause: '',
  events: story.events,
  snags: [],
  ...more,
});
export const snag = (id: string, what: string, weight: Snag['weight'], at: string): Snag => ({
  id,
  what,
  weight,
  done: false,
  at: new Date(at).toISOString(),
});
/** A picture of the demo's own, drawn for it. */
export function picture(id: string, file: string): NonNullable<JobFile['pictures']>[number] {
  const bytes = readFileSync(join(import.meta.dirname, file));
  const sha256 = createHash('sha256').update(bytes).digest('hex');
  return { id, type: 'image/jpeg', sha256, base64: bytes.toString('base64') };
}
const folder = join(import.meta.dirname, '../../demo');
mkdirSync(folder, { recursive: true });
export function write(name: string, id: string, machine: MachineBody, jobs: JobFile[]): void {
  const file = ponduFileSchema.parse({ format: 'pondu', version: FILE_VERSION, machines: [{ id, machine, jobs }], house });
  const path = join(folder, `${name}.pondu.json`);
  rmSync(path, { force: true });
  writeFileSync(path, `${JSON.stringify(file, null, 1)}\n`);
}

