import { sheetBodySchema } from '@pondu/core/schema';
import type { JobEvent, SheetBody } from '@pondu/core';
import { describe, expect, it } from 'vitest';
import { benchesOf } from '../screens/job/CardBenches.tsx';
import { takenDown } from '../screens/book/BenchesPanel.tsx';
import { sheetWords } from './sheets.ts';

const SHEETS: readonly [SheetBody, string, RegExp][] = [
  [
    { kind: 'points', pairs: [{ gapMetres: 0.4e-3, dwellDegrees: 50 }], lobes: [0.4e-3, 0.35e-3], lost: 'moving' },
    'Points',
    /50\.0° of dwell at 0\.4 mm; Lobe by lobe: 0\.4 mm, 0\.35 mm; Wear at the moving contact\./,
  ],
  [{ kind: 'top', before: 52, after: 68 }, 'True top', /8\.0° before true top/],
  [
    { kind: 'leads', order: [1, 3, 4, 2], turns: 'clockwise', first: 0, found: [1, 4, 3, 2] },
    'Firing order',
    /1-3-4-2.*found at the towers: 1-4-3-2/,
  ],
  [
    { kind: 'road', rounds: [{ degrees: 10, noticed: ['knock'], words: 'on the hill' }], school: 'ear' },
    'Road rounds',
    /10\.0°: knock\. on the hill/,
  ],
  [
    { kind: 'carburettor', done: [], overruled: [], read: [14, 15], shows: 'vacuum' },
    'Carburettor',
    /Balanced at 14, 15/,
  ],
  [
    { kind: 'drain', restAmps: 0.2, pulled: [{ circuit: 'Clock', amps: 0.02 }], all: false },
    'What stays on',
    /0\.2 A at rest; Clock out: 20 mA/,
  ],
  [
    { kind: 'battery', celsius: 20, cells: [1.26, 1.255, 1.14], restVolts: 6.1 },
    'Battery',
    /Cells 1\.260, 1\.255, 1\.140 at 20 °C; 6\.1 V at rest/,
  ],
  [
    {
      kind: 'valves',
      warmth: 'cold',
      inlet: { found: [] },
      exhaust: { wanted: 0.3e-3, found: [0.1e-3, 0.3e-3] },
      leftAsWanted: true,
    },
    'Valve clearances, cold',
    /^Exhaust: found 0\.1 mm, 0\.3 mm, set to 0\.3 mm$/,
  ],
  [{ kind: 'float', by: 'tube', found: 0.018, wanted: 0.015 }, 'Float level', /Found 18 mm, wanted 15 mm/],
  [{ kind: 'gas', co: 2.5, co2: 12, hcPpm: 300 }, 'Exhaust gas at idle', /CO 2\.5 %, CO₂ 12\.0 %, HC 300 ppm/],
  [{ kind: 'tips', tips: ['white', 'brown'], ruledOut: false }, 'Plugs by their colour', /1: white, 2: brown/],
  [
    { kind: 'static', way: 'lamp', shown: 8, wanted: 10 },
    'Static timing',
    /Points open 8\.0° before the mark, wanted 10\.0°/,
  ],
  [
    { kind: 'pump', rows: [{ pullPascal: 20e3, degrees: 14 }], holds: false },
    'Vacuum advance',
    /14\.0° at −20 kPa; It does not hold vacuum/,
  ],
  [
    {
      kind: 'mixture',
      rows: [
        { turns: 1, rpm: 810 },
        { turns: 1.5, rpm: 840 },
        { turns: 2, rpm: 850 },
      ],
      screw: 'air',
    },
    'Idle mixture',
    /1 turn out: 810 rev\/min; 1\.5 turns out: 840 rev\/min; 2 turns out: 850 rev\/min/,
  ],
  [
    { kind: 'found', by: 'gauge', shown: 9, bestPascal: 62e3 },
    'Timing by gauge or ear',
    /Highest vacuum −62 kPa; Left at 9\.0° before top, by the mark/,
  ],
  [
    { kind: 'charging', celsius: 25, holds: 14.2, beltMetres: 0.012 },
    'Charging',
    /Holds 14\.2 V at 25 °C; Belt gives 12 mm/,
  ],
];
const at = (day: number): string => `2026-11-${day}T10:00:00Z`;
const taken = (body: SheetBody, day: number): JobEvent => ({
  type: 'sheet',
  sheet: { id: `${body.kind}-${day}`, body, at: at(day) },
});

describe('what a bench took down', () => {
  it.each(SHEETS)('%j is told in words, with what it was read', (body, title, words) => {
    const said = sheetWords(sheetBodySchema.parse(body))!;
    expect(said.title).toBe(title);
    expect(said.with).not.toBe('');
    expect(said.lines.join('; ')).toMatch(words);
  });
  it('every kind of sheet is told, but for those of the proof', () => {
    const kinds = sheetBodySchema.options.map((o) => o.shape.kind.value);
    expect([...SHEETS.map(([body]) => body.kind), 'prove', 'heat'].sort()).toEqual([...kinds].sort());
  });
  it('stands on the card as it was taken down last, and in the book with its job', () => {
    const top = (before: number, day: number) => taken({ kind: 'top', before, after: 68 }, day);
    const events = [top(52, 10), top(60, 12)];
    expect(benchesOf(events).map((b) => b.lines)).toEqual([['The mark stands 4.0° before true top.']]);
    const book = takenDown([
      { id: 'a', events },
      { id: 'b', events: [taken(SHEETS.at(-1)![0], 20), top(68, 11)] },
    ]);
    expect(book.map((t) => [t.title, t.jobId, t.at])).toEqual([
      ['Charging', 'b', at(20)],
      ['True top', 'a', at(12)],
    ]);
  });
});
