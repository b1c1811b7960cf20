import { createWriteStream } from 'node:fs';
import { once } from 'node:events';
import { BENCH_MACHINE, BENCH_COMPLAINT } from './client.ts';

export interface Size {
  machines: number;
  jobs: number;
  readings: number;
}

const LAYOUTS = ['battery-points', 'electronic', 'conversion', 'coil-on-plug'] as const;
const WORDS = ['slipway', 'ferry', 'orchard', 'mole', 'quay', 'barn', 'spit', 'reef'];

/** Writes a shop of this size as a `.pondu.json`, a machine at a time. Every machine differs in a figure. */
export async function writeShop(path: string, { machines, jobs, readings }: Size): Promise<void> {
  const out = createWriteStream(path);
  const write = async (text: string) => void (out.write(text) || (await once(out, 'drain')));
  const [jobsEach, readingsEach] = [jobs / machines, readings / jobs];
  await write('{"format":"pondu","version":2,"machines":[');
  for (let m = 0; m < machines; m++) {
    const machine = {
      ...BENCH_MACHINE,
      name: `${WORDS[m % WORDS.length]!} machine ${m}`,
      worth: 1000 + m,
      fitOut: {
        ...BENCH_MACHINE.fitOut,
        compressionRatio: 7 + (m % 100) / 100,
        trails: BENCH_MACHINE.fitOut.trails.map((t) => ({ ...t, kind: LAYOUTS[m % LAYOUTS.length]! })),
      },
    };
    const own = Array.from({ length: jobsEach }, (_, j) => ({
      id: `job-${m}-${j}`,
      complaint: { ...BENCH_COMPLAINT, words: `Stopped at the ${WORDS[(m + j) % WORDS.length]!}, number ${m}` },
      stage: j < 1 ? 'trace' : 'closed',
      openedAt: '2026-01-01T00:00:00Z',
      events: Array.from({ length: readingsEach }, (_r, r) => ({
        type: 'reading',
        reading: {
          id: `${r}`,
          checkId: ['battery-rest', 'switch-volts', 'coil-feed-closed'][r % 3]!,
          value: { kind: 'number', value: 12 + (r % 7) / 10 },
          typed: '12',
          at: '2026-01-01T00:00:00Z',
          faultPresent: 'no',
          note: r % 10 === 0 ? `after the ${WORDS[r % WORDS.length]!}` : '',
        },
      })),
    }));
    await write(`${m ? ',' : ''}${JSON.stringify({ id: `machine-${m}`, machine, jobs: own })}`);
  }
  await write(']}');
  out.end();
  await once(out, 'finish');
}
