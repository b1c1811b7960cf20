import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** Tight enough that what differs is ours or a real difference. */
const options = (gmin: number) => `.options reltol=1e-6 abstol=1e-12 vntol=1e-9 gmin=${gmin}`;

export interface SpiceRun {
  /** Columns by name, `time` among them in a transient. */
  columns: Map<string, Float64Array>;
  processSeconds: number;
  /** What ngspice itself says its analysis took, if it says so. */
  analysisSeconds: number;
}

/** Runs one netlist through ngspice in batch mode and reads its raw file. Throws with its log when it fails. */
export function ngspice(netlist: string, { gmin = 1e-12 } = {}): SpiceRun {
  const folder = mkdtempSync(join(tmpdir(), 'pondu-spice-'));
  try {
    const [title, ...rest] = netlist.replace(/\n\.end\s*$/, '\n').split('\n');
    const deck = join(folder, 'deck.cir');
    const raw = join(folder, 'out.raw');
    writeFileSync(deck, [title, options(gmin), ...rest, '.end', ''].join('\n'));
    const started = performance.now();
    const done = spawnSync('ngspice', ['-b', '-r', raw, deck], { encoding: 'utf8', cwd: folder });
    const processSeconds = (performance.now() - started) / 1000;
    if (done.status !== 0) throw new Error(`ngspice failed:\n${done.stdout}\n${done.stderr}`);
    const said = /analysis time[^=]*=\s*([\d.e+-]+)/i.exec(done.stdout);
    return { columns: readRaw(readFileSync(raw)), processSeconds, analysisSeconds: said ? Number(said[1]) : NaN };
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** Seconds that ngspice itself reports for one operating point, as the mean of many in one process. */
export function manyOperatingPoints(netlist: string, times: number): number {
  const folder = mkdtempSync(join(tmpdir(), 'pondu-spice-'));
  try {
    const deck = join(folder, 'deck.cir');
    const cards = netlist.replace(/^\.(op|end)\s*$/gim, '').trimEnd();
    const control = ['.op', '.control', `repeat ${times}`, 'op', 'end', 'rusage all', '.endc', '.end', ''];
    writeFileSync(deck, [cards, ...control].join('\n'));
    const { stdout } = spawnSync('ngspice', ['-b', deck], { encoding: 'utf8', cwd: folder, maxBuffer: 1 << 28 });
    return Number(/analysis time[^=]*=\s*([\d.e+-]+)/i.exec(stdout)?.[1]) / times;
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

function readRaw(file: Buffer): Map<string, Float64Array> {
  const mark = file.indexOf('Binary:\n');
  const head = file.subarray(0, mark).toString().split('\n');
  const count = (key: string) => Number(head.find((l) => l.startsWith(key))!.split(':')[1]);
  const [variables, points] = [count('No. Variables'), count('No. Points')];
  const first = head.indexOf('Variables:') + 1;
  const names = Array.from({ length: variables }, (_, i) => head[first + i]!.trim().split(/\s+/)[1]!.toLowerCase());
  const body = file.subarray(mark + 'Binary:\n'.length);
  const columns = new Map(names.map((n) => [n, new Float64Array(points)]));
  for (let p = 0; p < points; p++)
    names.forEach((name, v) => (columns.get(name)![p] = body.readDoubleLE(8 * (p * variables + v))));
  return columns;
}
