import sqlite3 from 'sqlite3';

export interface Connection {
  all<Row>(sql: string, ...values: string[]): Promise<Row[]>;
  close(): Promise<void>;
}

/** A connection to a SQLite file beside the store’s own, for work that must not keep readers and writers waiting. */
export function connect(file: string, mode: number = sqlite3.OPEN_READWRITE): Promise<Connection> {
  return new Promise((done, fail) => {
    const database = new sqlite3.Database(file, mode, (error) => {
      if (error) return fail(error);
      done({
        all: <Row>(sql: string, ...values: string[]) =>
          new Promise<Row[]>((found, failed) =>
            database.all<Row>(sql, values, (wrong, rows) => (wrong ? failed(wrong) : found(rows))),
          ),
        close: () => new Promise((closed, failed) => database.close((wrong) => (wrong ? failed(wrong) : closed()))),
      });
    });
  });
}
