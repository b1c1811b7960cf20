/** What SQLite or the file system calls an error, where it was one of theirs. */
export function codeOf(error: unknown): string {
  const { code, original, parent, cause } = error as Record<string, unknown>;
  if (typeof code === 'string') return code;
  const under = original ?? parent ?? cause;
  return under === undefined || under === null ? '' : codeOf(under);
}
