import { access, constants, open, stat } from 'node:fs/promises';
import { dirname } from 'node:path';
import sqlite3 from 'sqlite3';
import { codeOf } from '../http/codeOf.ts';
import { connect, type Connection } from './connection.ts';

/** A data file that cannot be served: which file, what is wrong with it, and what to do, in one line. */
export class Unusable extends Error {
  constructor(file: string, wrong: string, todo: string) {
    super(`The data file ${file} ${wrong}. ${todo}`);
  }
}

const OTHER = 'name another with PONDU_DATA.';
const FROM_BACKUP = `Put a backup in its place with npm run restore -- FILE, or ${OTHER}`;
const ALLOW = `Allow it, or ${OTHER}`;
const damaged = (file: string) => new Unusable(file, 'is damaged', `Nothing was changed. ${FROM_BACKUP}`);

/** What stands at the head of every SQLite file; the size of a page and the number of pages behind it. */
const MAGIC = 'SQLite format 3\0';
const HEADER_BYTES = 100;
const [PAGE_SIZE_AT, PAGES_AT] = [16, 28];
/** A page of 64 KB does not fit into the two bytes of its size, and is written as one. */
const LARGEST_PAGE = 65_536;

/** Looks at a data file before it is opened: a folder, something else, or half of one. One that is not there is made. */
export async function lookAt(file: string): Promise<void> {
  const found = await stat(file).catch((error: unknown) => {
    if (codeOf(error) === 'ENOENT') return undefined;
    throw unusable(file, error);
  });
  if (!found) {
    await access(dirname(file), constants.W_OK).catch(() => {
      throw new Unusable(file, 'cannot be made: its folder is not to be written to', ALLOW);
    });
    return;
  }
  if (found.isDirectory()) throw new Unusable(file, 'is a folder', `Take it away, or ${OTHER}`);
  await access(file, constants.R_OK | constants.W_OK).catch(() => {
    throw new Unusable(file, 'may not be written to', ALLOW);
  });
  if (found.size > 0) await lookAtHeader(file, found.size);
}

async function lookAtHeader(file: string, size: number): Promise<void> {
  const handle = await open(file, 'r');
  try {
    const header = Buffer.alloc(HEADER_BYTES);
    const { bytesRead } = await handle.read(header, 0, HEADER_BYTES, 0);
    if (!header.toString('latin1').startsWith(MAGIC))
      throw new Unusable(file, 'is no data file of Pondu', `Nothing was changed. ${FROM_BACKUP}`);
    const page = header.readUInt16BE(PAGE_SIZE_AT);
    if (bytesRead < HEADER_BYTES || size < header.readUInt32BE(PAGES_AT) * (page === 1 ? LARGEST_PAGE : page))
      throw damaged(file);
  } finally {
    await handle.close();
  }
}

/** The same of what goes wrong as it is opened; anything else is given back as it is. */
export function unusable(file: string, error: unknown): unknown {
  switch (codeOf(error)) {
    case 'SQLITE_NOTADB':
    case 'SQLITE_CORRUPT':
      return damaged(file);
    case 'SQLITE_READONLY':
    case 'SQLITE_CANTOPEN':
    case 'EACCES':
    case 'EPERM':
      return new Unusable(file, 'cannot be opened for writing', ALLOW);
    case 'ENOTDIR':
      return new Unusable(file, 'lies in what is no folder', `Make one, or ${OTHER}`);
    case 'SQLITE_BUSY':
      return new Unusable(file, 'is held by another program', 'Close that program, then start again.');
    case 'SQLITE_FULL':
    case 'SQLITE_IOERR':
    case 'ENOSPC':
      return new Unusable(file, 'cannot be written: the disk is full or failing', 'Make room, then start again.');
    default:
      return error;
  }
}

/**
 * Takes a data file for this server alone, until the process ends, however it ends: the lock is the operating system's,
 * held through an empty SQLite file beside it.
 */
export async function take(file: string): Promise<Connection> {
  try {
    const lock = await connect(`${file}.lock`, sqlite3.OPEN_READWRITE | sqlite3.OPEN_CREATE);
    await lock.all('PRAGMA busy_timeout=0');
    await lock.all('BEGIN EXCLUSIVE');
    return lock;
  } catch (error) {
    if (codeOf(error) !== 'SQLITE_BUSY') throw unusable(file, error);
    throw new Unusable(
      file,
      'is being served by another Pondu',
      'Use that one, stop it first, or name another file with PONDU_DATA.',
    );
  }
}
