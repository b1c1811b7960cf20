/** Words of a search are looked for as beginnings of words; more than these are not looked at. */
const MOST_WORDS = 6;

/** A search as typed, made into one full-text query a word; what the index would take for a command is quoted away. */
export function searchWords(q: string): string[] {
  const words = q.normalize('NFKC').match(/[\p{L}\p{N}]+/gu) ?? [];
  return words.slice(0, MOST_WORDS).map((w) => `"${w}"*`);
}

/** The plus keeps SQLite from walking all rows of a kind and asking the index of each: the words come first. */
const KIND = `+d.kind = 'machine'`;
const DOCS = 'search JOIN search_docs d ON d.id = search.rowid WHERE search MATCH';

/** SQL conditions, one a word: the job, or anything of its machine, says it. */
export const jobSays = (words: readonly string[]): string[] =>
  words.map(
    (_, i) => `(j.id IN (SELECT d.job_id FROM ${DOCS} $word${i} AND d.job_id IS NOT NULL)
      OR j.machine_id IN (SELECT d.machine_id FROM ${DOCS} $word${i} AND ${KIND}))`,
  );
export const machineSays = (words: readonly string[]): string[] =>
  words.map((_, i) => `m.id IN (SELECT d.machine_id FROM ${DOCS} $word${i} AND ${KIND})`);

export const wordsBound = (words: readonly string[]): Record<string, string> =>
  Object.fromEntries(words.map((w, i) => [`word${i}`, w]));
