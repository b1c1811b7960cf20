import { execFile } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { promisify } from 'node:util';
import { houseSchema, storedMachineSchema } from '@pondu/core/schema';
import { POLICIES, Tracer, type Policy } from '@pondu/core';
import { holeFigures } from './holes.ts';
import { KINDS } from './kinds.ts';
import { againstOptimal } from './optimal.ts';
import { solverFigures } from './solver.ts';
import { serverFigures } from './server/main.ts';
import { acrossTrails } from './acrossTrails.ts';
import { practiceFigures } from './practice.ts';
import { replayFigures } from './replays/main.ts';
import { stressOf } from './stress.ts';
import { speedFigures } from './speed/main.ts';
import { calibrationError, drawSets, run, runSet, type Run } from './tracing.ts';

/** Figures, not tests: every fault of every kind × seeded machines; pairs; what comes and goes; against three habits. */
const MACHINES = Number(process.env['BENCH_MACHINES'] ?? 50);
/** Habits need no more than a mean of minutes; pairs and what comes and goes are drawn, not enumerated. */
const HABIT_MACHINES = Math.max(1, Math.round(MACHINES / 10));
const PAIRS = 4 * MACHINES;
/** A fault that comes and goes is there at so many readings. */
const THERE = 0.6;
/** Under stress one fault in so many is played; 1 plays all. */
const STRESS_EVERY = Number(process.env['BENCH_EVERY'] ?? 1);
const ONLY = process.env['BENCH_KINDS'];
const house = houseSchema.parse({});

const machineOf = (kind: string) =>
  storedMachineSchema.parse({ name: kind, kind: 'car', worth: 2000, fitOut: KINDS[kind] });
const dearFrom = 200;

type Task =
  | { kind: string; what: 'single'; policy: Policy; from: number; to: number }
  | { kind: string; what: 'pairs' | 'comes and goes' };
interface Done {
  runs: Run[];
  pairs: boolean[];
}

function work(task: Task): Done {
  const tracer = new Tracer(machineOf(task.kind), house);
  if (task.what === 'pairs')
    return {
      runs: [],
      pairs: drawSets(tracer, 2, PAIRS, 5).flatMap((pair, k) => runSet(tracer, pair, 1000 + k) ?? []),
    };
  const runs: Run[] = [];
  tracer.model.faults.forEach((fault, f) => {
    if (task.what === 'comes and goes') {
      if (fault.mode.comesWith)
        for (let k = 0; k < HABIT_MACHINES; k++) {
          const done = run(tracer, fault, 1000 * k + f, dearFrom, { there: THERE });
          if (done) runs.push(done);
        }
    } else if (task.what === 'single')
      for (let k = task.from; k < task.to; k++) {
        const done = run(tracer, fault, 1000 * k + f, dearFrom, { policy: task.policy });
        if (done) runs.push(done);
      }
  });
  return { runs, pairs: [] };
}

/** The same file in a process of its own, so that two cores are used. */
async function apart(task: Task): Promise<Done> {
  const { stdout } = await promisify(execFile)(process.execPath, ['--import', 'tsx', fileURLToPath(import.meta.url)], {
    env: { ...process.env, BENCH_TASK: JSON.stringify(task) },
    maxBuffer: 1 << 28,
  });
  return JSON.parse(stdout) as Done;
}

const CORES = 2;
async function all(tasks: readonly Task[]): Promise<Done[]> {
  const done: Done[] = [];
  let next = 0;
  const worker = async () => {
    while (next < tasks.length) {
      const k = next++;
      done[k] = await apart(tasks[k]!);
    }
  };
  await Promise.all(Array.from({ length: CORES }, worker));
  return done;
}

const mean = (values: number[]) => (values.length ? values.reduce((a, b) => a + b, 0) / values.length : NaN);
const round = (v: number, digits = 3) => Number(v.toFixed(digits));
const quantile = (values: number[], q: number) =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length * q)] ?? NaN;

function wrongOnes(runs: readonly Run[]): Record<string, number> {
  const wrong = new Map<string, number>();
  for (const r of runs)
    if (!r.right) wrong.set(`${r.fault} → ${r.named}`, (wrong.get(`${r.fault} → ${r.named}`) ?? 0) + 1);
  return Object.fromEntries([...wrong].sort((a, b) => b[1] - a[1]).slice(0, 10));
}

async function figuresOf(kind: string) {
  const half = Math.ceil(MACHINES / 2);
  const habits = POLICIES.slice(1);
  const tasks: Task[] = [
    { kind, what: 'single', policy: 'cheapest information', from: 0, to: half },
    { kind, what: 'single', policy: 'cheapest information', from: half, to: MACHINES },
    ...habits.map((policy): Task => ({ kind, what: 'single', policy, from: 0, to: HABIT_MACHINES })),
    { kind, what: 'pairs' },
    { kind, what: 'comes and goes' },
  ];
  const [a, b, ...rest] = await all(tasks);
  const single = [...a!.runs, ...b!.runs];
  const minutes = mean(single.map((r) => r.minutes));
  const habitMinutes = habits.map((_, k) => mean(rest[k]!.runs.map((r) => r.minutes)));
  const pairs = rest[habits.length]!.pairs;
  const comes = rest[habits.length + 1]!.runs;
  const ms = single.flatMap((r) => r.recommendMs);
  process.stderr.write(`${kind}: done\n`);
  return {
    single,
    pairs,
    figures: {
      runs: single.length,
      rightRepair: round(mean(single.map((r) => Number(r.right))), 4),
      wrongDearPart: round(mean(single.map((r) => Number(r.wrongDear))), 4),
      meanChecks: round(mean(single.map((r) => r.checks)), 2),
      meanMinutes: round(minutes, 2),
      minutesByHabit: Object.fromEntries(habits.map((h, k) => [h, round(habitMinutes[k]!, 2)])),
      minutesAgainstBestHabit: round(minutes / Math.min(...habitMinutes)),
      calibrationError: round(calibrationError(single), 4),
      rightPairs: { pairs: pairs.length, right: round(mean(pairs.map(Number)), 4) },
      comesAndGoes: { runs: comes.length, right: round(mean(comes.map((r) => Number(r.right))), 4) },
      recommendMs: { median: round(quantile(ms, 0.5), 1), p95: round(quantile(ms, 0.95), 1) },
      wrong: wrongOnes(single),
    },
  };
}

/** Three faults at once, over machines of several trails. */
const TRIPLES = Number(process.env['BENCH_DRAWN'] ?? 150);
function tripleFigures(): object {
  const kinds = Object.keys(KINDS).filter((k) => k.includes('all its trails') && (!ONLY || k.includes(ONLY)));
  const byKind = kinds.map((kind) => {
    const tracer = new Tracer(machineOf(kind), house);
    const sets = drawSets(tracer, 3, Math.ceil(TRIPLES / kinds.length), 7);
    const right = sets.flatMap((set, k) => runSet(tracer, set, 3000 + k) ?? []);
    process.stderr.write(`${kind}: done\n`);
    return [kind, right] as const;
  });
  const all = byKind.flatMap(([, right]) => right);
  return {
    all: { triples: all.length, right: round(mean(all.map(Number)), 4) },
    byKind: Object.fromEntries(
      byKind.map(([kind, right]) => [kind, { triples: right.length, right: round(mean(right.map(Number)), 4) }]),
    ),
  };
}

async function main() {
  const kinds = Object.keys(KINDS).filter((k) => !ONLY || k.includes(ONLY));
  const byKind: Record<string, unknown> = {};
  const [single, pairs]: [Run[], boolean[]] = [[], []];
  for (const kind of kinds) {
    const found = await figuresOf(kind);
    byKind[kind] = found.figures;
    single.push(...found.single);
    pairs.push(...found.pairs);
  }
  const points = new Tracer(machineOf('breaker points, six cylinders'), house);
  const figures = {
    machinesPerFault: MACHINES,
    all: {
      runs: single.length,
      rightRepair: round(mean(single.map((r) => Number(r.right))), 4),
      wrongDearPart: round(mean(single.map((r) => Number(r.wrongDear))), 4),
      calibrationError: round(calibrationError(single), 4),
      rightPairs: round(mean(pairs.map(Number)), 4),
    },
    byKind,
    optimalTree: againstOptimal(points),
    ...(ONLY ? {} : { solver: solverFigures() }),
  };
  process.stdout.write(`${JSON.stringify(figures, null, 2)}\n`);
}

const own = process.env['BENCH_TASK'];
if (own) process.stdout.write(JSON.stringify(work(JSON.parse(own) as Task)));
else if (process.argv.includes('solver')) process.stdout.write(`${JSON.stringify(solverFigures(), null, 2)}\n`);
else if (process.argv.includes('replays')) process.stdout.write(`${JSON.stringify(replayFigures(), null, 2)}\n`);
else if (process.argv.includes('triples')) process.stdout.write(`${JSON.stringify(tripleFigures(), null, 2)}\n`);
else if (process.argv.includes('practice')) process.stdout.write(`${JSON.stringify(practiceFigures(), null, 2)}\n`);
else if (process.argv.includes('holes')) {
  const benched = Object.fromEntries(Object.keys(KINDS).map((k) => [k, machineOf(k)]));
  process.stdout.write(`${JSON.stringify(holeFigures(house, benched), null, 2)}\n`);
} else if (process.argv.includes('stress')) {
  const kinds = Object.keys(KINDS).filter((k) => !ONLY || k.includes(ONLY));
  const figures = kinds.map((k) => [k, stressOf(machineOf(k), house, dearFrom, STRESS_EVERY)]);
  process.stdout.write(`${JSON.stringify(Object.fromEntries(figures), null, 2)}\n`);
} else if (process.argv.includes('across')) process.stdout.write(`${JSON.stringify(acrossTrails(), null, 2)}\n`);
else if (process.argv.includes('speed')) process.stdout.write(`${JSON.stringify(await speedFigures(), null, 2)}\n`);
else if (process.argv.includes('server'))
  process.stdout.write(
    `${JSON.stringify(await serverFigures(process.argv.slice(process.argv.indexOf('server') + 1)), null, 2)}\n`,
  );
else await main();
