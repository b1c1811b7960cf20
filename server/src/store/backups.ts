import { mkdir, readdir, rename, rm, stat } from 'node:fs/promises';
import { basename, dirname, join } from 'node:path';
import type { Backup } from '@pondu/core';
import { connect } from './connection.ts';

/** Days and weeks of which a copy is kept, and copies from before an upgrade. */
const DAYS_KEPT = 7;
const WEEKS_KEPT = 4;
const UPGRADES_KEPT = 3;
const DAY_MS = 86_400_000;

/** Day and, where it was made before an upgrade, that; behind the data file's own name. */
const DAY = /^-(\d{4}-\d{2}-\d{2})(-before-[\w-]+)?\.sqlite$/;
export const folderOf = (file: string): string => join(dirname(file), 'backups');
export const ownName = (file: string): string => basename(file, '.sqlite');
const dayOf = (now: number): string => new Date(now).toISOString().slice(0, 10);

/** Copies a data file into another, whole as of one moment, while others read and write. */
export async function copyInto(file: string, to: string): Promise<void> {
  const own = await connect(file);
  try {
    await own.all('PRAGMA busy_timeout=5000');
    await own.all('VACUUM INTO ?', to);
  } finally {
    await own.close();
  }
}

/** What is wrong with a SQLite file, in its own words; undefined where it is sound. */
export async function wrongWith(file: string): Promise<string | undefined> {
  try {
    const own = await connect(file);
    try {
      const [first] = await own.all<{ integrity_check: string }>('PRAGMA integrity_check(1)');
      return first?.integrity_check === 'ok' ? undefined : (first?.integrity_check ?? 'It says nothing.');
    } finally {
      await own.close();
    }
  } catch (error) {
    return error instanceof Error ? error.message : String(error);
  }
}

/** Monday of a day's week, both as dates. */
function weekOf(day: string): string {
  const at = Date.parse(`${day}T00:00:00Z`);
  const sinceMonday = (new Date(at).getUTCDay() + 6) % 7;
  return new Date(at - sinceMonday * DAY_MS).toISOString().slice(0, 10);
}

/** A copy, by its name. */
export interface Copy {
  readonly name: string;
  readonly day: string;
  readonly upgrade: boolean;
}
export function copyNamed(file: string, name: string): Copy | undefined {
  if (!name.startsWith(ownName(file))) return undefined;
  const [, day, upgrade] = DAY.exec(name.slice(ownName(file).length)) ?? [];
  return day ? { name, day, upgrade: upgrade !== undefined } : undefined;
}

/** Those that need not be kept any longer: the last days, before them the last of some weeks, and the last upgrades stay. */
export function toThin(copies: readonly Copy[]): string[] {
  const newest = [...copies].sort((a, b) => b.day.localeCompare(a.day));
  const daily = newest.filter((b) => !b.upgrade);
  const weeks = new Map<string, Copy>();
  for (const copy of daily.slice(DAYS_KEPT)) if (!weeks.has(weekOf(copy.day))) weeks.set(weekOf(copy.day), copy);
  const keep = new Set([
    ...daily.slice(0, DAYS_KEPT),
    ...[...weeks.values()].slice(0, WEEKS_KEPT),
    ...newest.filter((b) => b.upgrade).slice(0, UPGRADES_KEPT),
  ]);
  return copies.filter((copy) => !keep.has(copy)).map(({ name }) => name);
}

/** Copies of the data file beside it: one a day, one before each upgrade, each looked at before it counts. */
export class Backups {
  /** Why the last one could not be made; undefined where it was. */
  failed: string | undefined;
  private readonly file: string;
  readonly folder: string;

  constructor(file: string) {
    this.file = file;
    this.folder = folderOf(file);
  }

  /** What is there, the newest first. */
  async list(): Promise<Backup[]> {
    const newest = (await this.copies()).sort((a, b) => b.name.localeCompare(a.name));
    return Promise.all(
      newest.map(async ({ name }) => {
        const { size, mtime } = await stat(join(this.folder, name));
        return { name, bytes: size, at: mtime.toISOString() };
      }),
    );
  }
  private async copies(): Promise<Copy[]> {
    const all = await readdir(this.folder).catch(() => []);
    return all.flatMap((name) => copyNamed(this.file, name) ?? []);
  }

  /** Today's, where there is none yet. */
  async daily(now: number): Promise<void> {
    await this.make(`${ownName(this.file)}-${dayOf(now)}.sqlite`);
  }
  /** Before an upgrade, named by its first step. */
  async before(step: string, now: number): Promise<void> {
    await this.make(`${ownName(this.file)}-${dayOf(now)}-before-${step}.sqlite`);
  }

  private async make(name: string): Promise<void> {
    if ((await this.copies()).some((c) => c.name === name)) return;
    const made = join(this.folder, `${name}.new`);
    try {
      await mkdir(this.folder, { recursive: true });
      await rm(made, { force: true });
      await copyInto(this.file, made);
      const wrong = await wrongWith(made);
      if (wrong !== undefined) throw new Error(`${basename(this.file)} is damaged: ${wrong}`);
      await rename(made, join(this.folder, name));
      this.failed = undefined;
      for (const old of toThin(await this.copies())) await rm(join(this.folder, old), { force: true });
    } catch (error) {
      this.failed = error instanceof Error ? error.message : String(error);
      await rm(made, { force: true }).catch(() => undefined);
    }
  }
}
