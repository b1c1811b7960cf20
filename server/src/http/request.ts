import type { Request, Response } from 'express';
import type { z } from 'zod';
import { fieldsOf, invalid, Problem } from './problem.ts';

/** Where in what was sent there is a NUL, which SQLite takes for the end of a text; undefined where there is none. */
function nulIn(given: unknown, at = ''): string | undefined {
  if (typeof given === 'string') return given.includes('\0') ? at : undefined;
  if (typeof given !== 'object' || given === null) return undefined;
  for (const [key, value] of Object.entries(given)) {
    const found = nulIn(value, at ? `${at}.${key}` : key);
    if (found !== undefined) return found;
  }
  return undefined;
}

function read<S extends z.ZodType>(given: unknown, schema: S): z.output<S> {
  const nul = nulIn(given);
  if (nul !== undefined)
    throw invalid([{ field: nul, message: 'There is a character in it that stands for nothing (NUL). Take it out.' }]);
  const parsed = schema.safeParse(given);
  if (!parsed.success) throw invalid(fieldsOf(parsed.error));
  return parsed.data;
}

/** Reads the body by a schema; every field that is wrong is named. A call without a body is one with an empty one. */
export const body = <S extends z.ZodType>(req: Request, schema: S): z.output<S> => read(req.body ?? {}, schema);

export const query = <S extends z.ZodType>(req: Request, schema: S): z.output<S> => read(req.query, schema);

/**
 * What is stored with what was sent laid over it, read by the whole schema: a field that is not mentioned stays as it
 * is, and never falls back to a default.
 */
export function over<S extends z.ZodType>(req: Request, stored: object, schema: S): z.output<S> {
  const sent: unknown = req.body ?? {};
  if (typeof sent !== 'object' || sent === null || Array.isArray(sent))
    throw invalid([{ field: '', message: 'Send an object with the fields to change.' }]);
  return read({ ...stored, ...sent }, schema);
}

/** The version that a write was based on, from `If-Match: "3"`. Absent means: write over whatever is there. */
export function expectedVersion(req: Request): number | undefined {
  const header = req.get('if-match');
  if (header === undefined || header === '*') return undefined;
  const match = /^(?:W\/)?"?(\d+)"?$/.exec(header.trim());
  if (!match)
    throw new Problem(
      400,
      'bad-version',
      `If-Match must be a version number in quotes, such as "3"; it was ${header}.`,
    );
  return Number(match[1]);
}

/** SQLite takes a NUL for the end of a text: no id has one. */
export function param(req: Request, name: string): string {
  const given = String(req.params[name] ?? '');
  if (given.includes('\0')) throw new Problem(400, 'bad-address', 'The address cannot be read.');
  return given;
}

/** Tells when whoever asked has left before the answer was there. */
export function leaving(res: Response): AbortSignal {
  const left = new AbortController();
  const closed = () => {
    if (!res.writableFinished) left.abort();
  };
  if (res.closed) closed();
  else res.once('close', closed);
  return left.signal;
}
