import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';

const root = join(import.meta.dirname, '../../..');
const page = readFileSync(join(root, 'docs/SOURCES.md'), 'utf8');
const entries = new Set([...page.matchAll(/^\| \[(\d+)\]\s+\|/gm)].map((m) => m[1]!));
const sections = new Set([...page.matchAll(/^## (.+)$/gm)].map((m) => m[1]!.toLowerCase()));

/** What stands in comments: an index into a list is no citation. */
const commentsOf = (text: string): string =>
  [...text.matchAll(/\/\*[\s\S]*?\*\/|(?<![:'"`])\/\/.*/g)].map((m) => m[0]).join('\n');
const files = ['core/src', 'server/src', 'web/src', 'bench'].flatMap((folder) =>
  readdirSync(join(root, folder), { recursive: true, encoding: 'utf8' })
    .filter((name) => /\.tsx?$/.test(name))
    .map((name) => join(folder, name))
    .map((path) => ({
      path,
      said: commentsOf(readFileSync(join(root, path), 'utf8')),
    })),
);
const citations = files.flatMap(({ path, said }) =>
  [...said.matchAll(/(?<![\w\])])\[(\d{1,2})\]|\]\[(\d{1,2})\]/g)].map((m) => ({ path, entry: (m[1] ?? m[2])! })),
);

describe('sources', () => {
  it('every number that a comment cites is an entry of the page', () => {
    expect(citations.length).toBeGreaterThan(40);
    expect(citations.filter(({ entry }) => !entries.has(entry))).toEqual([]);
  });
  it('every entry is cited by the code', () => {
    expect(entries.size).toBeGreaterThan(8);
    const cited = new Set(citations.map(({ entry }) => entry));
    expect([...entries].filter((entry) => !cited.has(entry))).toEqual([]);
  });
  it('every section that a comment names stands on the page', () => {
    const named = files.flatMap(({ path, said }) =>
      [...said.matchAll(/SOURCES(?:,\s+(?:\*\s+)?([a-z ]+?))?(?=[).;:,])/g)].map((m) => ({
        path,
        section: m[1] ?? '(none)',
      })),
    );
    expect(named.length).toBeGreaterThan(15);
    expect(named.filter(({ section }) => !sections.has(section))).toEqual([]);
  });
});
