// npm run mutate [-- seed files-of-core files-of-the-rest]: puts small mutations into a seeded sample of files, one at a
// time, and tells how many the tests notice. Survivors by file go to .cache/mutate.json.
import { spawnSync } from 'node:child_process';
import { mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ensureInstalled, root } from './lib/prepare.mjs';

await ensureInstalled();

const [seed = 1, ofCore = 12, ofRest = 6] = process.argv.slice(2).map(Number);
const GOALS = { core: 80, 'server and page': 70 };
/** Shorter files hold little that can be put wrong. */
const LEAST_LINES = 20;
const CACHE = join(root, '.cache');

/** Numerical Recipes' generator: the same sample for the same seed. */
let state = seed >>> 0;
const random = () => (state = (Math.imul(state, 1664525) + 1013904223) >>> 0) / 2 ** 32;

const filesIn = (folder) =>
  readdirSync(join(root, folder), { recursive: true })
    .map((f) => `${folder}/${f}`)
    .filter((f) => f.endsWith('.ts') && !/\.test\.ts$|__tests__|\/index\.ts$|\.d\.ts$|migrations/.test(f))
    .filter((f) => readFileSync(join(root, f), 'utf8').split('\n').length > LEAST_LINES)
    .sort();
const sample = (files, count) => {
  const left = [...files];
  return Array.from(
    { length: Math.min(count, left.length) },
    () => left.splice(Math.floor(random() * left.length), 1)[0],
  );
};

/** One run of the mutation tester over a sample; what it noticed, and what it did not. */
function mutated(files) {
  const report = join(CACHE, 'mutation.json');
  const config = {
    testRunner: 'vitest',
    plugins: ['@stryker-mutator/vitest-runner'],
    mutate: files,
    vitest: { configFile: 'vitest.mutate.config.ts', related: true },
    coverageAnalysis: 'perTest',
    // A table's own words and figures ask every test of its trail again: hours for what a person reads over.
    ignoreStatic: true,
    // Words are read by people; their tests are the browser's.
    mutator: { excludedMutations: ['StringLiteral'] },
    reporters: ['json', 'progress-append-only'],
    jsonReporter: { fileName: report },
    concurrency: 2,
    timeoutMS: 20_000,
    dryRunTimeoutMinutes: 30,
    tempDirName: join(CACHE, 'mutating'),
    ignorePatterns: ['.cache', 'docs', 'web/dist', 'server/dist'],
  };
  const path = join(CACHE, 'mutate.config.json');
  writeFileSync(path, JSON.stringify(config));
  rmSync(report, { force: true });
  const run = spawnSync('npx', ['stryker', 'run', path], { cwd: root, stdio: ['ignore', 'inherit', 'inherit'] });
  if (run.status !== 0) throw new Error('The mutation tester gave up: see above');
  const found = Object.entries(JSON.parse(readFileSync(report, 'utf8')).files).map(([file, { mutants }]) => {
    const of = (...kinds) => mutants.filter((m) => kinds.includes(m.status));
    const unseen = of('Survived', 'NoCoverage');
    return {
      file,
      noticed: of('Killed', 'Timeout').length,
      survivors: unseen.map((m) => `${m.location.start.line}: ${m.mutatorName} → ${m.replacement}`),
    };
  });
  const [noticed, survived] = [found.map((f) => f.noticed), found.map((f) => f.survivors.length)].map((n) =>
    n.reduce((a, b) => a + b, 0),
  );
  return {
    noticedPercent: Number(((100 * noticed) / (noticed + survived)).toFixed(1)),
    mutations: noticed + survived,
    found,
  };
}

mkdirSync(CACHE, { recursive: true });
const groups = {
  core: sample(filesIn('core/src'), ofCore),
  'server and page': sample([...filesIn('server/src'), ...filesIn('web/src')], ofRest),
};
const told = {};
for (const [name, files] of Object.entries(groups)) {
  if (files.length) told[name] = { goal: GOALS[name], ...mutated(files) };
  writeFileSync(join(CACHE, 'mutate.json'), JSON.stringify({ seed, ...told }, null, 2));
}
const short = Object.fromEntries(
  Object.entries(told).map(([name, { found, ...rest }]) => [
    name,
    {
      ...rest,
      files: Object.fromEntries(found.map((f) => [f.file, `${f.noticed} noticed, ${f.survivors.length} not`])),
    },
  ]),
);
process.stdout.write(`${JSON.stringify({ seed, ...short }, null, 2)}\n`);
process.exit(Object.values(told).every((t) => t.noticedPercent >= t.goal) ? 0 : 1);
