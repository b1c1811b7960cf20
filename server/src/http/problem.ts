import type { ErrorRequestHandler, RequestHandler, Response } from 'express';
import { UniqueConstraintError } from 'sequelize';
import { ZodError } from 'zod';

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

export function invalid(fields: readonly FieldError[]): Problem {
  return new Problem(422, 'invalid', fields[0]?.message ?? 'Something in it cannot be read.', { fields });
}

/** Zod's issues as one message a field. */
export const fieldsOf = (error: ZodError): FieldError[] =>
  error.issues.map((i) => ({ field: i.path.join('.'), message: i.message }));

function send(res: Response, status: number, code: string, title: string, facts: object = {}): void {
  res
    .status(status)
    .type('application/problem+json')
    .send(JSON.stringify({ type: `urn:pondu:${code}`, title, status, ...facts }));
}

export const unknownRoute: RequestHandler = (req, res) => {
  send(res, 404, 'no-such-address', `There is nothing at ${req.method} ${req.path}. See /api/openapi.json.`);
};

/** The body parser's own refusals, by their code. */
const PARSER: Readonly<Record<string, [number, string]>> = {
  'entity.parse.failed': [400, 'The body is not JSON. Nothing was changed.'],
  'entity.too.large': [413, 'The body is too large. Nothing was changed.'],
  'encoding.unsupported': [415, 'The body is in an encoding that is not understood. Nothing was changed.'],
};

export const problems: ErrorRequestHandler = (error: unknown, req, res, next) => {
  if (res.headersSent) return next(error);
  if (error instanceof Problem) return send(res, error.status, error.code, error.message, error.facts);
  if (error instanceof ZodError) {
    const fields = fieldsOf(error);
    return send(res, 422, 'invalid', fields[0]?.message ?? 'Something in it cannot be read.', { fields });
  }
  if (error instanceof UniqueConstraintError)
    return send(res, 409, 'duplicate', 'The same id stands there twice, or is here already. Nothing was changed.');
  const type = (error as { type?: string }).type ?? '';
  const parser = PARSER[type];
  if (parser) return send(res, parser[0], type.replaceAll('.', '-'), parser[1]);
  if (error instanceof URIError) return send(res, 400, 'bad-address', 'The address cannot be read.');
  req.log.error({ err: error }, 'unexpected');
  return send(res, 500, 'unexpected', 'Something went wrong here. What you typed is kept in your browser; try again.');
};
