import { speech } from '../vocabulary/speech.ts';

export interface FieldError {
  field: string;
  message: string;
}

/** A refusal from the server, as it told it, in the shop's words. Status 0: the server was not reached. */
export class ApiProblem extends Error {
  readonly status: number;
  readonly code: string;
  readonly fields: readonly FieldError[];
  /** Of all problems, where only the first are told. */
  readonly count: number | undefined;

  constructor(status: number, code: string, title: string, fields: readonly FieldError[] = [], count?: number) {
    super(speech.say(title));
    this.status = status;
    this.code = code;
    this.fields = fields.map((f) => ({ ...f, message: speech.say(f.message) }));
    this.count = count;
  }
  /** Someone else changed it since it was opened. */
  get stale(): boolean {
    return this.status === 412;
  }
  get unreachable(): boolean {
    return this.status === 0;
  }
}

export const problemOf = (error: unknown): ApiProblem =>
  error instanceof ApiProblem
    ? error
    : new ApiProblem(500, 'unexpected', error instanceof Error ? error.message : String(error));
