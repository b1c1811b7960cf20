import { execFile } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { promisify } from 'node:util';
import { solveOperatingPoint } from '@pondu/core';
import { houseSchema, machineBodySchema } from '@pondu/core/schema';
import { Tracer } from '@pondu/core';
import { againstOptimal } from './optimal.ts';
import { POLICIES, type Policy } from './policies.ts';
import { complaintOf, run, type Run } from './tracing.ts';

/** Figures, not tests: every fault of the points ignition × seeded machines, against three habits and the optimal tree. */
const MACHINES = Number(process.env['BENCH_MACHINES'] ?? 50);
const house = houseSchema.parse({});
const machine = machineBodySchema.parse({
  name: 'Bench',
  kind: 'car',
  fitOut: {
    layout: 'battery-points',
    volts: 12,
    earth: 'negative',
    cylinders: 6,
    ballast: 'external',
    fused: true,
    compressionRatio: 8,
  },
});

interface Task {
  policy: Policy;
  from: number;
  to: number;
}

function work({ policy, from, to }: Task): Run[] {
  const tracer = new Tracer(machine, house);
  return tracer.model.faults.flatMap((fault, f) => {
    const complaint = complaintOf(tracer, fault);
    return Array.from({ length: to - from }, (_, k) => run(tracer, complaint, fault, 1000 * (from + k) + f, policy));
  });
}

/** The same file in a process of its own, so that two cores are used. */
async function apart(task: Task): Promise<Run[]> {
  const { stdout } = await promisify(execFile)(process.execPath, ['--import', 'tsx', fileURLToPath(import.meta.url)], {
    env: { ...process.env, BENCH_TASK: JSON.stringify(task) },
    maxBuffer: 1 << 28,
  });
  return JSON.parse(stdout) as Run[];
}

const mean = (values: number[]) => values.reduce((a, b) => a + b, 0) / values.length;
const round = (v: number, digits = 3) => Number(v.toFixed(digits));
const quantile = (values: number[], q: number) =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length * q)] ?? NaN;

/** Microseconds of one operating point of the machine's own network. */
function operatingPoint(tracer: Tracer) {
  const scene = tracer.weigher.ensemble([]).scenes[0]!;
  const elements = scene.elements({ key: 'on', points: 'closed' });
  const rounds = 5000;
  const started = performance.now();
  for (let i = 0; i < rounds; i++) solveOperatingPoint(elements);
  return round(((performance.now() - started) / rounds) * 1000, 1);
}

async function main() {
  const figures: Record<string, unknown> = { machinesPerFault: MACHINES };
  const minutes = new Map<Policy, number>();
  for (const policy of POLICIES) {
    const half = Math.ceil(MACHINES / 2);
    const runs = (
      await Promise.all([apart({ policy, from: 0, to: half }), apart({ policy, from: half, to: MACHINES })])
    ).flat();
    const wrong = new Map<string, number>();
    for (const r of runs)
      if (!r.right) wrong.set(`${r.fault} → ${r.named}`, (wrong.get(`${r.fault} → ${r.named}`) ?? 0) + 1);
    minutes.set(policy, mean(runs.map((r) => r.minutes)));
    figures[policy] = {
      runs: runs.length,
      rightRepair: round(mean(runs.map((r) => Number(r.right))), 4),
      meanChecks: round(mean(runs.map((r) => r.checks)), 2),
      meanMinutes: round(minutes.get(policy)!, 2),
      ...(policy === 'cheapest information'
        ? {
            recommendMs: {
              median: round(
                quantile(
                  runs.flatMap((r) => r.recommendMs),
                  0.5,
                ),
                1,
              ),
              p95: round(
                quantile(
                  runs.flatMap((r) => r.recommendMs),
                  0.95,
                ),
                1,
              ),
            },
            wrong: Object.fromEntries([...wrong].sort((a, b) => b[1] - a[1]).slice(0, 12)),
          }
        : {}),
    };
    process.stderr.write(`${policy}: done\n`);
  }
  const best = Math.min(...POLICIES.slice(1).map((p) => minutes.get(p)!));
  figures['minutesAgainstBestHabit'] = round(minutes.get('cheapest information')! / best);
  const tracer = new Tracer(machine, house);
  figures['optimalTree'] = againstOptimal(tracer);
  figures['microsecondsPerOperatingPoint'] = operatingPoint(tracer);
  process.stdout.write(`${JSON.stringify(figures, null, 2)}\n`);
}

const own = process.env['BENCH_TASK'];
if (own) process.stdout.write(JSON.stringify(work(JSON.parse(own) as Task)));
else await main();
