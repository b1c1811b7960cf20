import type { ErrorRequestHandler, RequestHandler, Response } from 'express';
import { UniqueConstraintError } from 'sequelize';
import { ZodError } from 'zod';
import { codeOf } from './codeOf.ts';
import { fieldsOf, invalid, Problem } from './problem.ts';
import { isStopping } from './stopping.ts';

function send(res: Response, status: number, code: string, title: string, facts: object = {}): void {
  res
    .status(status)
    .type('application/problem+json')
    .send(JSON.stringify({ type: `urn:pondu:${code}`, title, status, ...facts }));
}
export const refuse = (res: Response, { status, code, message, facts }: Problem): void =>
  send(res, status, code, message, facts);

export const unknownRoute: RequestHandler = (req, res) => {
  send(res, 404, 'no-such-address', `There is nothing at ${req.method} ${req.path}. See /api/openapi.json.`);
};

/** What the libraries at the edge refuse by themselves, by status: what was wrong, and that nothing was changed. */
const REFUSED: Readonly<Record<number, [code: string, title: string]>> = {
  400: ['unreadable', 'What was sent cannot be read. Nothing was changed.'],
  412: ['precondition', 'It is not as the request asked for. Nothing was changed.'],
  413: ['too-large', 'The body is too large. Nothing was changed.'],
  415: ['unsupported', 'The body is of a kind, character set or encoding that is not understood. Nothing was changed.'],
  416: ['no-such-range', 'The file has no such range. Ask for the whole of it.'],
};

const DISK_FULL: ReadonlySet<string> = new Set(['SQLITE_FULL', 'ENOSPC', 'EDQUOT']);

export const problems: ErrorRequestHandler = (error: unknown, req, res, next) => {
  if (res.headersSent) return next(error);
  if (error instanceof Problem) return refuse(res, error);
  if (error instanceof ZodError) return refuse(res, invalid(fieldsOf(error)));
  if (error instanceof UniqueConstraintError)
    return send(res, 409, 'duplicate', 'The same id stands there twice, or is here already. Nothing was changed.');
  if (DISK_FULL.has(codeOf(error)))
    return send(res, 507, 'disk-full', 'The disk of the workshop is full. Nothing was changed; make room, then go on.');
  if (error instanceof URIError) return send(res, 400, 'bad-address', 'The address cannot be read.');
  const { status } = error as { status?: unknown };
  const known =
    typeof status === 'number' && status >= 400 && status < 500 ? (REFUSED[status] ?? REFUSED[400]!) : undefined;
  if (known) return send(res, status as number, ...known);
  // A thread or a file that was closed under it: the page keeps it and sends it again.
  if (isStopping())
    return send(res, 503, 'stopping', 'Pondu is being stopped here. Nothing was changed; try again when it is back.');
  req.log.error({ err: error }, 'unexpected');
  return send(res, 500, 'unexpected', 'Something went wrong here. What you typed is kept in your browser; try again.');
};
