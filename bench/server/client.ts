import { readFileSync } from 'node:fs';

/** One call of the API, timed. Never throws: what did not answer has status 0. */
export interface Answered {
  status: number;
  ms: number;
  text: string;
}

export async function ask(url: string, method = 'GET', body?: unknown, patienceMs = 60_000): Promise<Answered> {
  const started = performance.now();
  try {
    const response = await fetch(url, {
      method,
      headers: { 'content-type': 'application/json', 'x-pondu': '1' },
      signal: AbortSignal.timeout(patienceMs),
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
    const text = await response.text();
    return { status: response.status, ms: performance.now() - started, text };
  } catch {
    return { status: 0, ms: performance.now() - started, text: '' };
  }
}

/** Of a process with all its threads, megabytes: now, or the most that it ever was. */
export function memory(pid: number, line: 'VmRSS' | 'VmHWM'): number {
  const kb = new RegExp(`${line}:\\s+(\\d+)`).exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1];
  return rounded(Number(kb) / 1024, 0);
}

export const quantile = (values: readonly number[], q: number): number => {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))] ?? NaN;
};
export const rounded = (value: number, digits = 1): number => Number(value.toFixed(digits));

export const BENCH_MACHINE = {
  name: 'Bench car',
  kind: 'car',
  fitOut: {
    volts: 12,
    earth: 'negative',
    cylinders: 4,
    compressionRatio: 8,
    trails: [{ trail: 'spark', kind: 'battery-points', options: { ballast: 'external', fused: true } }],
  },
};
export const BENCH_COMPLAINT = { symptom: 'no-fire', pattern: 'constant' };
