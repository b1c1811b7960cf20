import { Sequelize, Transaction } from 'sequelize';
import sqlite3 from 'sqlite3';
import { Changes } from './changes.ts';
import { migrate } from './migrations/index.ts';
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
  close(): Promise<void>;
}

/** Opens and migrates the data file. */
export async function openStore(file: string): Promise<Store> {
  const sequelize = new Sequelize({
    dialect: 'sqlite',
    storage: file,
    logging: false,
    dialectModule: { ...sqlite3, Database },
    transactionType: Transaction.TYPES.IMMEDIATE,
  });
  await sequelize.query('PRAGMA journal_mode=WAL');
  await migrate(sequelize);
  const queue = new WriteQueue();
  return {
    sequelize,
    models: defineModels(sequelize),
    changes: new Changes(),
    write: (work) => queue.run(() => sequelize.transaction(work)),
    snapshot: (work) => sequelize.transaction({ type: Transaction.TYPES.DEFERRED }, work),
    backup: (toFile) =>
      queue.run(async () => void (await sequelize.query('VACUUM INTO :toFile', { replacements: { toFile } }))),
    close: async () => {
      await queue.idle();
      await sequelize.close();
    },
  };
}
