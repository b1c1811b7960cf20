import type { ZodError } from 'zod';

export interface FieldError {
  /** Dotted path to the field, as the form names it. */
  field: string;
  message: string;
}

/** An expected refusal, told as RFC 9457 problem+json: what was wrong, what was kept, what to do. */
export class Problem extends Error {
  readonly status: number;
  readonly code: string;
  readonly facts: Readonly<Record<string, unknown>>;

  constructor(status: number, code: string, title: string, facts: Readonly<Record<string, unknown>> = {}) {
    super(title);
    this.status = status;
    this.code = code;
    this.facts = facts;
  }
}

export const notFound = (what: string, id: string) =>
  new Problem(404, 'not-found', `There is no ${what} "${id}". It may have been deleted in another window.`);

/** So many problems are told one by one; of the others only the number. */
export const MOST_TOLD = 20;

export function invalid(fields: readonly FieldError[], count = fields.length): Problem {
  return new Problem(422, 'invalid', fields[0]?.message ?? 'Something in it cannot be read.', {
    fields: fields.slice(0, MOST_TOLD),
    count,
  });
}

/** Zod's issues as one message a field. */
export const fieldsOf = (error: ZodError): FieldError[] =>
  error.issues.map((i) => ({ field: i.path.join('.'), message: i.message }));
