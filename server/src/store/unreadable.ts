import type { z } from 'zod';
import { Problem } from '../http/problem.ts';

/** A row whose body is not what the schema asks for: by hand, by another version, by a broken disk. */
export function readBody<S extends z.ZodType>(schema: S, what: string, row: { id: string; body: string }): z.output<S> {
  const parsed = schema.safeParse(JSON.parse(row.body));
  if (parsed.success) return parsed.data;
  const [first] = parsed.error.issues;
  throw new Problem(
    422,
    'unreadable',
    `The ${what} "${row.id}" cannot be read as it is stored (${first?.path.join('.')}: ${first?.message}). It is kept; the rest works. A backup holds it as it is.`,
  );
}

/** The same for a row of a list: the others are shown all the same. */
export function readable<S extends z.ZodType>(
  schema: S,
  body: string,
): { ok: true; value: z.output<S> } | { ok: false; why: string } {
  const parsed = schema.safeParse(JSON.parse(body));
  if (parsed.success) return { ok: true, value: parsed.data };
  const [first] = parsed.error.issues;
  return { ok: false, why: `${first?.path.join('.')}: ${first?.message}` };
}
