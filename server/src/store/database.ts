import { setTimeout } from 'node:timers/promises';
import { Sequelize, Transaction } from 'sequelize';
import sqlite3 from 'sqlite3';
import { now } from '../clock.ts';
import { Backups, copyInto } from './backups.ts';
import { Changes } from './changes.ts';
import { lookAt, take, Unusable, unusable } from './dataFile.ts';
import { migrate, MIGRATIONS } from './migrations/index.ts';
import { defineModels, type Models } from './models.ts';
import { WriteQueue } from './queue.ts';

/** Pragmas are per connection: each is given its own as it opens. FULL, because nothing entered may be lost. */
class Database extends sqlite3.Database {
  constructor(file: string, mode: number, done: (error: Error | null) => void) {
    super(file, mode, (error) => {
      if (error) return done(error);
      this.exec('PRAGMA busy_timeout=5000; PRAGMA synchronous=FULL; PRAGMA foreign_keys=ON', done);
    });
  }
}

export interface Store {
  readonly sequelize: Sequelize;
  readonly models: Models;
  /** What was written, told to whoever listens, once it is on the disk. */
  readonly changes: Changes;
  /** Runs one write after the other, each in a transaction that takes the lock at once. */
  write<T>(work: (transaction: Transaction) => Promise<T>): Promise<T>;
  /** One view of the data for as long as the work takes; writes go on beside it. */
  snapshot<T>(work: (transaction: Transaction) => Promise<T>): Promise<T>;
  backup(toFile: string): Promise<void>;
  /** Copies that are made by themselves. */
  readonly backups: Backups;
  close(): Promise<void>;
}

/** Longer than this nobody who still reads is waited for. */
const READING_ENDS_MS = 2000;

/** Takes the data file for this server alone, opens it and brings it up to date. Throws Unusable, and nothing is changed. */
export async function openStore(file: string): Promise<Store> {
  await lookAt(file);
  const lock = await take(file);
  const sequelize = new Sequelize({
    dialect: 'sqlite',
    storage: file,
    logging: false,
    dialectModule: { ...sqlite3, Database },
    transactionType: Transaction.TYPES.IMMEDIATE,
  });
  const backups = new Backups(file);
  const close = async () => {
    await sequelize.close();
    await lock.close();
  };
  try {
    await sequelize.query('PRAGMA journal_mode=WAL');
    await migrate(sequelize, MIGRATIONS, async (step) => {
      await backups.before(step, now());
      if (backups.failed !== undefined)
        throw new Unusable(file, `cannot be copied before it is upgraded (${backups.failed})`, 'Nothing was changed.');
    });
  } catch (error) {
    await close().catch(() => undefined);
    throw unusable(file, error);
  }
  const queue = new WriteQueue();
  const reading = new Set<Promise<unknown>>();
  return {
    sequelize,
    models: defineModels(sequelize),
    changes: new Changes(),
    backups,
    write: (work) => queue.run(() => sequelize.transaction(work)),
    snapshot: (work) => {
      const read = sequelize.transaction({ type: Transaction.TYPES.DEFERRED }, work);
      const gone = (): void => void reading.delete(done);
      const done: Promise<void> = read.then(gone, gone);
      reading.add(done);
      return read;
    },
    backup: (toFile) => copyInto(file, toFile),
    close: async () => {
      await queue.idle();
      // An export ends for whoever asked before its connection is given back; who never comes to an end is left.
      const left = new AbortController();
      const patience = setTimeout(READING_ENDS_MS, undefined, { signal: left.signal }).catch(() => undefined);
      await Promise.race([Promise.all(reading), patience]);
      left.abort();
      await close();
    },
  };
}
