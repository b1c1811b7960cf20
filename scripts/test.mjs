// npm test: type check, lint, unit and end to end, on a machine with nothing but Node and apt.
import { buildAndWorkOut, CHROMIUM, ensureBuilt, ensureDebian, ensureInstalled, run } from './lib/prepare.mjs';

const browser = () => ensureDebian({ [CHROMIUM]: 'chromium' });
await ensureInstalled(() => Promise.all([browser(), buildAndWorkOut()]));
await browser();
const steps = [
  ['types', () => run('npx', ['tsc', '-b'])],
  ['lint', () => run('npx', ['eslint', '.', '--max-warnings', '0'])],
  ['unused', () => run('npx', ['knip', '--no-progress'])],
  ['format', () => run('npx', ['prettier', '--check', '--log-level', 'warn', '.'])],
  ['build', async () => (await ensureBuilt(), 0)],
  ['tests', () => run('npx', ['vitest', 'run', ...process.argv.slice(2)])],
];
for (const [name, step] of steps) {
  const status = await step();
  console.log(`${name}: ${status === 0 ? 'passed' : 'FAILED'}`);
  if (status !== 0) process.exit(status);
}
