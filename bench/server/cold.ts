import { join } from 'node:path';
import { TestServer } from '../../e2e/server.ts';
import { ask, BENCH_COMPLAINT, BENCH_MACHINE, quantile, rounded } from './client.ts';

export interface Cold {
  machines: number;
  allTracedSeconds: number;
  loopMs: { p50: number; p99: number; max: number };
  /** What another client waits for an answer meanwhile. */
  healthP99Ms: number;
}

/** Traces machines that nobody has asked about yet, all at once, and looks how others are answered meanwhile. */
export async function cold(machines: number): Promise<Cold> {
  const server = new TestServer({
    PONDU_CALLS_A_MINUTE: '100000000',
    PONDU_LOAD: '',
    NODE_OPTIONS: `--import ${join(import.meta.dirname, 'loopDelay.mjs')}`,
  });
  const url = await server.start();
  const jobs: string[] = [];
  for (let i = 0; i < machines; i++) {
    const fitOut = { ...BENCH_MACHINE.fitOut, cylinders: [4, 6, 8][i % 3], compressionRatio: 7 + i / 10 };
    const made = await ask(`${url}/api/machines`, 'POST', { ...BENCH_MACHINE, fitOut });
    const { id: machineId } = JSON.parse(made.text) as { id: string };
    const job = await ask(`${url}/api/jobs`, 'POST', { machineId, complaint: BENCH_COMPLAINT });
    jobs.push((JSON.parse(job.text) as { id: string }).id);
  }
  const loop = async () => {
    process.kill(server.pid, 'SIGUSR2');
    await new Promise((later) => setTimeout(later, 200));
    return JSON.parse(/.*LOOP (\{.*\})/s.exec(server.said)![1]!) as Cold['loopMs'];
  };
  await loop();
  const started = performance.now();
  let tracing = true;
  const traces = Promise.all(jobs.map((id) => ask(`${url}/api/jobs/${id}/trace`))).finally(() => (tracing = false));
  const health: number[] = [];
  while (tracing) {
    health.push((await ask(`${url}/api/health`)).ms);
    await new Promise((later) => setTimeout(later, 5));
  }
  await traces;
  const seconds = (performance.now() - started) / 1000;
  const loopMs = await loop();
  await server.remove();
  return { machines, allTracedSeconds: rounded(seconds), loopMs, healthP99Ms: rounded(quantile(health, 0.99)) };
}
