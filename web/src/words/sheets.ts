import { topFromStop, type SheetBody } from '@pondu/core';
import { schoolWords } from './schools.ts';
import { showQuantity } from '../units/quantity.ts';

/** What a bench took down, for card and book: what it was read with, and what it came to. */
export interface SheetWords {
  readonly title: string;
  readonly with: string;
  readonly lines: readonly string[];
}

const mm = (metres: number): string => showQuantity(metres, 'length');
const volts = (v: number): string => showQuantity(v, 'voltage');
const degrees = (v: number): string => `${v.toFixed(1)}°`;

/** How far a screw stands out. */
export const turnsOut = (turns: number): string => `${turns} ${turns === 1 ? 'turn' : 'turns'} out`;

/** What the moment is found with. */
const STATIC_WITH = { lamp: 'test lamp', ohmmeter: 'ohmmeter', paper: 'a strip of thin paper' } as const;

const LOST = {
  none: [],
  moving: ['Wear at the moving contact.'],
  fixed: ['Wear at the fixed contact.'],
} as const satisfies Record<string, readonly string[]>;

/** One row of valves, where any was measured. */
const clearances = (
  row: string,
  { found, wanted }: { readonly found: readonly number[]; readonly wanted?: number | undefined },
  left: boolean,
): string[] =>
  found.length === 0
    ? []
    : [
        `${row}: found ${found.map(mm).join(', ')}${wanted === undefined ? '' : `, ${left ? 'set to' : 'wanted'} ${mm(wanted)}`}`,
      ];

/** In words; undefined for what is told elsewhere (proof, heat) and for a sheet without figures. */
export function sheetWords(body: SheetBody): SheetWords | undefined {
  const said = wordsOf(body);
  return said && said.lines.length > 0 ? said : undefined;
}

function wordsOf(body: SheetBody): SheetWords | undefined {
  switch (body.kind) {
    case 'points':
      return {
        title: 'Points',
        with: 'feeler gauge, dwell meter',
        lines: [
          ...body.pairs.map((p) => `${degrees(p.dwellDegrees)} of dwell at ${mm(p.gapMetres)}`),
          ...(body.lobes.length ? [`Lobe by lobe: ${body.lobes.map(mm).join(', ')}`] : []),
          ...LOST[body.lost],
          ...(body.pullNewtons === undefined ? [] : [`Spring pulls ${showQuantity(body.pullNewtons, 'force')}`]),
        ],
      };
    case 'top': {
      const { markIsAt } = topFromStop(-body.before, body.after);
      const where =
        Math.abs(markIsAt) < 0.05
          ? 'The mark stands at true top.'
          : `The mark stands ${degrees(Math.abs(markIsAt))} ${markIsAt < 0 ? 'before' : 'after'} true top.`;
      return { title: 'True top', with: 'piston stop, degrees at the pointer', lines: [where] };
    }
    case 'leads':
      return {
        title: 'Firing order',
        with: 'eyes, cap off',
        lines: [
          `${body.order.join('-')}, the rotor turns ${body.turns}`,
          ...(body.found.length ? [`Leads found at the towers: ${body.found.join('-')}`] : []),
        ],
      };
    case 'road':
      return {
        title: 'Road rounds',
        with: `${schoolWords(body.school).toLowerCase()}, timing light`,
        lines: body.rounds.map((r) =>
          [`${degrees(r.degrees)}: ${r.noticed.join(', ') || 'nothing noticed'}`, r.words].filter(Boolean).join('. '),
        ),
      };
    case 'carburettor':
      return {
        title: 'Carburettor',
        with: body.shows === 'vacuum' ? 'vacuum gauge' : 'flow meter',
        lines: [
          ...(body.read.length ? [`Balanced at ${body.read.join(', ')}`] : []),
          ...body.overruled.map((o) => `Left out: ${o.step}, ${o.why}`),
        ],
      };
    case 'drain':
      return {
        title: 'What stays on',
        with: 'ammeter in the battery’s lead',
        lines: [
          `${showQuantity(body.restAmps, 'current')} at rest`,
          ...body.pulled.map((p) => `${p.circuit} out: ${showQuantity(p.amps, 'current')}`),
        ],
      };
    case 'battery':
      return {
        title: 'Battery',
        with: body.cells.length ? 'hydrometer, voltmeter' : 'voltmeter',
        lines: [
          ...(body.cells.length
            ? [
                `Cells ${body.cells.map((c) => c.toFixed(3)).join(', ')} at ${showQuantity(Math.round(body.celsius), 'temperature')}`,
              ]
            : []),
          ...(body.restVolts === undefined ? [] : [`${volts(body.restVolts)} at rest`]),
        ],
      };
    case 'static':
      return {
        title: 'Static timing',
        with: STATIC_WITH[body.way],
        lines: [
          `Points open ${degrees(body.shown)} before the mark${body.wanted === undefined ? '' : `, wanted ${degrees(body.wanted)}`}`,
        ],
      };
    case 'pump':
      return {
        title: 'Vacuum advance',
        with: 'hand pump, timing light',
        lines: [
          ...body.rows.map((r) => `${degrees(r.degrees)} at ${showQuantity(-r.pullPascal, 'pressure')}`),
          body.holds ? 'It holds vacuum' : 'It does not hold vacuum',
        ],
      };
    case 'mixture':
      return {
        title: 'Idle mixture',
        with: 'rev counter',
        lines: body.rows.map((r) => `${turnsOut(r.turns)}: ${r.rpm.toFixed(0)} rev/min`),
      };
    case 'found':
      return {
        title: 'Timing by gauge or ear',
        with: body.by === 'gauge' ? 'vacuum gauge' : 'by ear',
        lines: [
          ...(body.bestPascal === undefined ? [] : [`Highest vacuum ${showQuantity(-body.bestPascal, 'pressure')}`]),
          `Left at ${degrees(body.shown)} before top, by the mark`,
        ],
      };
    case 'valves':
      return {
        title: `Valve clearances, ${body.warmth}`,
        with: 'feeler gauge',
        lines: [
          ...clearances('Inlet', body.inlet, body.leftAsWanted),
          ...clearances('Exhaust', body.exhaust, body.leftAsWanted),
        ],
      };
    case 'float':
      return {
        title: 'Float level',
        with: body.by === 'height' ? 'rule, cover upside down' : 'clear tube at the bowl',
        lines: [`Found ${mm(body.found)}, wanted ${mm(body.wanted)}`],
      };
    case 'gas':
      return {
        title: 'Exhaust gas at idle',
        with: 'exhaust gas tester',
        lines: [
          [
            `CO ${body.co.toFixed(1)} %`,
            ...(body.co2 === undefined ? [] : [`CO₂ ${body.co2.toFixed(1)} %`]),
            ...(body.o2 === undefined ? [] : [`O₂ ${body.o2.toFixed(1)} %`]),
            ...(body.hcPpm === undefined ? [] : [`HC ${body.hcPpm.toFixed(0)} ppm`]),
          ].join(', '),
        ],
      };
    case 'tips':
      return {
        title: 'Plugs by their colour',
        with: 'eyes, after a minute under load',
        lines: body.tips.length ? [body.tips.map((tip, k) => `${k + 1}: ${tip}`).join(', ')] : [],
      };
    case 'charging':
      return {
        title: 'Charging',
        with: 'voltmeter',
        lines: [
          ...(body.holds === undefined
            ? []
            : [`Holds ${volts(body.holds)} at ${showQuantity(Math.round(body.celsius), 'temperature')}`]),
          ...(body.cutsIn === undefined ? [] : [`Cut-out closes at ${volts(body.cutsIn)}`]),
          ...(body.beltMetres === undefined ? [] : [`Belt gives ${mm(body.beltMetres)} at the middle of its span`]),
        ],
      };
    case 'prove':
    case 'heat':
      return undefined;
  }
}
