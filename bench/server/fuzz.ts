import { TestServer } from '../../e2e/server.ts';
import { seededRandom, type Random } from '../../core/src/random/lcg.ts';
import { ask, BENCH_COMPLAINT, BENCH_MACHINE, memory, rounded } from './client.ts';

export interface Fuzzed {
  requests: number;
  operations: number;
  byStatus: Readonly<Record<string, number>>;
  /** 5xx, and what did not answer at all. */
  failed: number;
  overFiveSeconds: number;
  slowestMs: number;
  memoryMb: { before: number; after: number };
  /** The first that failed, to be looked into. */
  examples: readonly string[];
}

type Schema = Readonly<Record<string, unknown>>;
interface Operation {
  method: string;
  path: string;
  body?: Schema;
  query: readonly { name: string; schema: Schema }[];
}

const NASTY: readonly unknown[] = [
  null,
  '',
  ' ',
  0,
  -1,
  1e308,
  -0,
  true,
  [],
  {},
  '\u0000',
  'constructor',
  '__proto__',
  'ÄÖ𝔛',
  '../../etc/passwd',
  "' OR 1=1 --",
  '=1+1',
  'x'.repeat(5000),
  ['a', ['b']],
  { $gt: '' },
  '2999-01-01T00:00:00Z',
  '0001-01-01T00:00:00Z',
  '%00',
  'NaN',
];
const pick = <T>(random: Random, all: readonly T[]): T => all[Math.floor(random() * all.length)]!;

/** Something that mostly suits a schema, and now and then not at all. */
class Maker {
  private readonly random: Random;
  private readonly named: Readonly<Record<string, Schema>>;
  private readonly known: readonly string[];

  constructor(random: Random, named: Readonly<Record<string, Schema>>, known: readonly string[]) {
    this.random = random;
    this.named = named;
    this.known = known;
  }
  value(schema: Schema, depth = 0): unknown {
    if (this.random() < 0.06) return pick(this.random, NASTY);
    const ref = schema['$ref'];
    if (typeof ref === 'string') return this.value(this.named[ref.replace(/.*\//, '')] ?? {}, depth);
    if ('const' in schema) return schema['const'];
    for (const many of ['enum', 'anyOf', 'oneOf'] as const) {
      const options = schema[many] as readonly unknown[] | undefined;
      if (!options?.length) continue;
      const option = pick(this.random, options);
      return many === 'enum' ? option : this.value(option as Schema, depth + 1);
    }
    const all = schema['allOf'] as readonly Schema[] | undefined;
    if (all) return Object.assign({}, ...all.map((s) => this.value(s, depth + 1)));
    const type = schema['type'];
    switch (Array.isArray(type) ? pick(this.random, type) : type) {
      case 'object':
        return this.object(schema, depth);
      case 'array':
        return depth > 6
          ? []
          : Array.from({ length: Math.floor(this.random() * 4) }, () =>
              this.value((schema['items'] ?? {}) as Schema, depth + 1),
            );
      case 'number':
      case 'integer':
        return pick(this.random, [0, 1, 12.4, -3, 1e9, Number(schema['minimum'] ?? 0), Number(schema['maximum'] ?? 7)]);
      case 'boolean':
        return this.random() < 0.5;
      case 'null':
        return null;
      default:
        return this.text(schema);
    }
  }
  private object(schema: Schema, depth: number): object {
    const required = (schema['required'] ?? []) as readonly string[];
    const fields = Object.entries((schema['properties'] ?? {}) as Readonly<Record<string, Schema>>);
    const chosen = fields.filter(([k]) => this.random() < (required.includes(k) ? 0.95 : 0.5));
    return Object.fromEntries(chosen.map(([k, s]) => [k, this.value(s, depth + 1)]));
  }
  text(schema: Schema): string {
    if (schema['format'] === 'date-time') return '2026-01-01T00:00:00Z';
    return pick(this.random, [...this.known, 'launch', '12.4', 'OL', 'battery-rest', 'points.gapMetres', '']);
  }
}

function operationsOf(document: { paths: Record<string, Record<string, Schema>> }): Operation[] {
  return Object.entries(document.paths).flatMap(([path, methods]) =>
    Object.entries(methods)
      // A stream never ends, and is fuzzed by nobody.
      .filter(() => path !== '/api/changes' && !path.endsWith('/meter'))
      .map(([method, operation]) => {
        const content = (operation['requestBody'] as { content?: Record<string, { schema: Schema }> } | undefined)
          ?.content;
        const parameters = (operation['parameters'] ?? []) as { in: string; name: string; schema: Schema }[];
        const body = content?.['application/json']?.schema;
        return {
          method: method.toUpperCase(),
          path,
          query: parameters.filter((p) => p.in === 'query'),
          ...(body ? { body } : {}),
        };
      }),
  );
}

/** Calls every operation of our own OpenAPI document with what suits and what does not. */
export async function fuzz(requests: number, seed: number, clients = 8): Promise<Fuzzed> {
  const server = new TestServer({ PONDU_CALLS_A_MINUTE: '100000000' });
  const url = await server.start();
  const document = JSON.parse((await ask(`${url}/api/openapi.json`)).text) as {
    paths: Record<string, Record<string, Schema>>;
    components: { schemas: Record<string, Schema> };
  };
  const operations = operationsOf(document);
  const { id: machineId } = JSON.parse((await ask(`${url}/api/machines`, 'POST', BENCH_MACHINE)).text) as {
    id: string;
  };
  const { text } = await ask(`${url}/api/jobs`, 'POST', { machineId, complaint: BENCH_COMPLAINT });
  const known = [machineId, (JSON.parse(text) as { id: string }).id, 'launch-1', 'harbour-launch', 'ballast.open'];
  const byStatus: Record<string, number> = {};
  const examples: string[] = [];
  let [failed, over, slowest, done] = [0, 0, 0, 0];
  let before = 0;
  const client = async (n: number) => {
    const random = seededRandom(seed + n);
    const maker = new Maker(random, document.components.schemas, known);
    while (done < requests) {
      // Once it has warmed up it may grow no more.
      if (++done === Math.ceil(requests / 5)) before = memory(server.pid, 'VmRSS');
      const { method, path, query, body } = operations[Math.floor(random() * operations.length)]!;
      // The backup and the export of all are large; they are asked for less often.
      if (/backup|export$/.test(path) && random() < 0.9) continue;
      const filled = path.replace(/\{\w+\}/g, () =>
        encodeURIComponent(String(random() < 0.9 ? pick(random, known) : pick(random, NASTY))),
      );
      const asked = query
        .filter(() => random() < 0.4)
        .map((q) => `${q.name}=${encodeURIComponent(String(maker.value(q.schema)))}`)
        .join('&');
      const { status, ms } = await ask(
        `${url}${filled}${asked ? `?${asked}` : ''}`,
        method,
        body && maker.value(body),
        30_000,
      );
      byStatus[status] = (byStatus[status] ?? 0) + 1;
      slowest = Math.max(slowest, ms);
      if (ms > 5000) over++;
      if (status === 0 || status >= 500) {
        failed++;
        if (examples.length < 10) examples.push(`${status} ${method} ${filled}?${asked} (${Math.round(ms)} ms)`);
      }
    }
  };
  await Promise.all(Array.from({ length: clients }, (_, n) => client(n)));
  const after = memory(server.pid, 'VmRSS');
  await server.remove();
  return {
    requests: Object.values(byStatus).reduce((a, b) => a + b, 0),
    operations: operations.length,
    byStatus,
    failed,
    overFiveSeconds: over,
    slowestMs: rounded(slowest, 0),
    memoryMb: { before, after },
    examples,
  };
}
