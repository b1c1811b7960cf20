import type { Request } from 'express';
import type { z } from 'zod';
import { fieldsOf, invalid, Problem } from './problem.ts';

/** Reads the body by a schema; every field that is wrong is named. */
export function body<S extends z.ZodType>(req: Request, schema: S): z.output<S> {
  const parsed = schema.safeParse(req.body ?? {});
  if (!parsed.success) throw invalid(fieldsOf(parsed.error));
  return parsed.data;
}

export function query<S extends z.ZodType>(req: Request, schema: S): z.output<S> {
  const parsed = schema.safeParse(req.query);
  if (!parsed.success) throw invalid(fieldsOf(parsed.error));
  return parsed.data;
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

export const param = (req: Request, name: string): string => String(req.params[name] ?? '');
