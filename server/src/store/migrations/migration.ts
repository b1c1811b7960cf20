export interface Migration {
  readonly name: string;
  /** Statements in order. Written out, because the query interface rebuilds tables and drops their checks. */
  readonly up: readonly string[];
}
