/** npm run -s solve -- FILE.cir: JSON of the operating point, or CSV of every accepted step of a transient. */
import { readFileSync } from 'node:fs';
import { readNetlist, solveOperatingPoint, solveTransient, type Netlist } from '@pondu/core';

function stop(message: string): never {
  process.stderr.write(`${message}\n`);
  process.exit(1);
}

const WORDS = {
  'unknown-card': 'is not a card known here',
  'bad-number': 'has a number that cannot be read',
  missing: 'is not whole',
  'unknown-model': 'names a model that is not given',
  'no-analysis': 'asks for no analysis: give .op or .tran',
} as const;

const nodesOf = (netlist: Netlist) =>
  [...new Set(netlist.elements.flatMap((e) => [e.a, e.b]))].filter((n) => n !== '0');
const sourcesOf = (netlist: Netlist) =>
  netlist.elements.filter((e) => ['voltage', 'inductor', 'controlled'].includes(e.type)).map((e) => e.id);

function operatingPoint(netlist: Netlist): string {
  const at = solveOperatingPoint(netlist.elements);
  if (!at.ok) stop(JSON.stringify(at));
  if (at.floating.length) process.stderr.write(`No path to earth: ${at.floating.join(', ')}\n`);
  const entries = [
    ...nodesOf(netlist).map((n) => [`v(${n})`, at.volts(n)]),
    ...sourcesOf(netlist).map((s) => [`i(${s})`, at.amps(s)]),
  ];
  return `${JSON.stringify(Object.fromEntries(entries), null, 1)}\n`;
}

function transient(netlist: Netlist, analysis: Extract<Netlist['analysis'], { kind: 'tran' }>): string {
  const run = solveTransient(netlist, { until: analysis.until, fromInitial: analysis.fromInitial });
  if (!run.ok) stop(JSON.stringify(run));
  const [nodes, sources] = [nodesOf(netlist), sourcesOf(netlist)];
  const columns = [...nodes.map((n) => run.volts(n)), ...sources.map((s) => run.amps(s))];
  const header = ['time', ...nodes.map((n) => `v(${n})`), ...sources.map((s) => `i(${s})`)];
  const rows = Array.from(run.at, (t, i) =>
    [t, ...columns.map((c) => c[i]!)].map((v) => Number(v.toPrecision(9))).join(','),
  );
  return [header.join(','), ...rows, ''].join('\n');
}

const file = process.argv[2] ?? stop('Give a netlist: npm run -s solve -- FILE.cir');
const read = readNetlist(readFileSync(file, 'utf8'));
if (!read.ok) stop(read.problems.map((p) => `${file}:${p.line}: "${p.text}" ${WORDS[p.code]}`).join('\n'));
const { netlist } = read;
process.stdout.write(netlist.analysis.kind === 'op' ? operatingPoint(netlist) : transient(netlist, netlist.analysis));
