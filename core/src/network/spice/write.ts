import type { Waveform } from '../transient/waveform.ts';
import type { Circuit, Element } from '../types.ts';
import type { Analysis } from './read.ts';
import { writeNumber as n } from './number.ts';

export type WriteResult = { ok: true; text: string } | { ok: false; code: 'cannot-be-written'; element: string };

const LETTER: Readonly<Partial<Record<Element['type'], string>>> = {
  resistor: 'r',
  voltage: 'v',
  current: 'i',
  switch: 's',
  diode: 'd',
  inductor: 'l',
  capacitor: 'c',
  controlled: 'e',
};
/** Names that a netlist may bear: letters, digits, underscores; the node `0` is kept. */
const plain = (name: string) =>
  name
    .toLowerCase()
    .replace(/\+/g, '_p')
    .replace(/-(?=\W|$)/g, '_n')
    .replace(/[^a-z0-9_]/g, '_');

/** A card's name begins with its letter. */
const cardName = (e: Element): string => {
  const name = plain(e.id);
  const letter = LETTER[e.type]!;
  return name.startsWith(letter) ? name : `${letter}_${name}`;
};

function waveText(wave: Waveform): string {
  if (wave.kind === 'sine')
    return `SIN(${[wave.offset, wave.amplitude, wave.hertz, wave.delay, wave.damping].map(n).join(' ')})`;
  if (wave.kind === 'corners') return `PWL(${wave.points.flat().map(n).join(' ')})`;
  const { low, high, delay, rise, fall, width, period } = wave;
  return `PULSE(${[low, high, delay, rise, fall, width, period].map((v) => n(Number.isFinite(v) ? v : 1e9)).join(' ')})`;
}

/** One card, and its model where it has one; nothing for what SPICE has no card for. */
function card(e: Element): string[] | undefined {
  const head = `${cardName(e)} ${plain(e.a)} ${plain(e.b)}`;
  switch (e.type) {
    case 'resistor':
      return [`${head} ${n(e.ohms)}`];
    case 'inductor':
      return [`${head} ${n(e.henries)}${e.initialAmps === undefined ? '' : ` IC=${n(e.initialAmps)}`}`];
    case 'capacitor':
      return [`${head} ${n(e.farads)}${e.initialVolts === undefined ? '' : ` IC=${n(e.initialVolts)}`}`];
    case 'voltage':
      return [`${head} ${e.wave ? waveText(e.wave) : `DC ${n(e.volts)}`}`];
    case 'current':
      return [`${head} ${e.wave ? waveText(e.wave) : `DC ${n(e.amps)}`}`];
    case 'controlled':
      return [`${head} ${plain(e.controlA)} ${plain(e.controlB)} ${n(e.gain)}`];
    case 'diode':
      return [
        `${head} m_${plain(e.id)}`,
        `.model m_${plain(e.id)} D(IS=${n(e.saturationAmps)} N=${n(e.emission)} RS=${n(e.seriesOhms)})`,
      ];
    case 'switch': {
      // A switch that nothing works is the resistor that it is.
      if (!e.control) return [`r_${plain(e.id)} ${plain(e.a)} ${plain(e.b)} ${n(e.closed ? e.onOhms : e.offOhms)}`];
      const { a, b, closesAt, opensAt } = e.control;
      const model = `RON=${n(e.onOhms)} ROFF=${n(e.offOhms)} VT=${n((closesAt + opensAt) / 2)} VH=${n((closesAt - opensAt) / 2)}`;
      return [`${head} ${plain(a)} ${plain(b)} m_${plain(e.id)}`, `.model m_${plain(e.id)} SW(${model})`];
    }
    default:
      return undefined;
  }
}

/** Where an element stands at a solved operating point. */
export interface Standing {
  readonly volts: number;
  readonly amps: number;
}

/**
 * What SPICE has no card for, as what it is at its operating point: lamps and motors resistors, a battery that is being
 * charged a source of its volts, a machine that charges a source of its current.
 */
function standIn(e: Element, { volts, amps }: Standing): string[] | undefined {
  const ends = `${plain(e.id)} ${plain(e.a)} ${plain(e.b)}`;
  if (e.type === 'filament' || e.type === 'motor') return [`r_${ends} ${n(amps === 0 ? 1e12 : volts / amps)}`];
  if (e.type === 'accumulator') return [`v_${ends} DC ${n(volts)}`];
  return e.type === 'charger' ? [`i_${ends} DC ${n(amps)}`] : undefined;
}

/**
 * Writes a circuit as a SPICE netlist. Lamps, motors, chargers have no cards of their own: give `standing` to write
 * them as what they are at their operating point, or they cannot be written.
 */
export function writeNetlist(
  title: string,
  circuit: Circuit,
  analysis: Analysis,
  standing?: (element: Element) => Standing,
): WriteResult {
  const cards: string[] = [];
  for (const e of circuit.elements) {
    const lines = card(e) ?? (standing && standIn(e, standing(e)));
    if (!lines) return { ok: false, code: 'cannot-be-written', element: e.id };
    cards.push(...lines);
  }
  const coil = (id: string) => cardName(circuit.elements.find((e) => e.id === id)!);
  for (const c of circuit.couplings) cards.push(`k_${plain(c.id)} ${coil(c.first)} ${coil(c.second)} ${n(c.k)}`);
  const run =
    analysis.kind === 'op'
      ? '.op'
      : `.tran ${n(analysis.step)} ${n(analysis.until)} 0 ${n(analysis.longest ?? analysis.step)}${analysis.fromInitial ? ' uic' : ''}`;
  return { ok: true, text: [`* ${title.replace(/\s+/g, ' ')}`, ...cards, run, '.end', ''].join('\n') };
}
