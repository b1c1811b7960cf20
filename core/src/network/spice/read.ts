import type { Circuit, Coupling, Element } from '../types.ts';
import { waveAt, type Waveform } from '../transient/waveform.ts';
import { readNumber } from './number.ts';

export interface NetlistProblem {
  /** Line of the file, from 1. */
  line: number;
  code: 'unknown-card' | 'bad-number' | 'missing' | 'unknown-model' | 'no-analysis';
  text: string;
}
export type Analysis =
  { kind: 'op' } | { kind: 'tran'; step: number; until: number; longest?: number; fromInitial: boolean };
export interface Netlist extends Circuit {
  readonly title: string;
  readonly analysis: Analysis;
}
export type NetlistResult = { ok: true; netlist: Netlist } | { ok: false; problems: readonly NetlistProblem[] };

interface Card {
  line: number;
  words: string[];
  text: string;
}
type Model = Readonly<Record<string, number>>;

/** Cards with their continuation lines joined; comments and blank lines left out. Brackets and commas are spaces. */
function cardsOf(text: string): { title: string; cards: Card[] } {
  const lines = text.split(/\r?\n/);
  const cards: Card[] = [];
  lines.slice(1).forEach((raw, i) => {
    const line = raw.replace(/;.*$/, '').trim();
    if (line === '' || line.startsWith('*')) return;
    const words = line
      .replace(/[(),]/g, ' ')
      .replace(/\s*=\s*/g, '=')
      .split(/\s+/)
      .filter(Boolean);
    const last = cards[cards.length - 1];
    if (line.startsWith('+') && last)
      last.words.push(...words.map((w, k) => (k === 0 ? w.slice(1) : w)).filter(Boolean));
    else cards.push({ line: i + 2, words, text: line });
  });
  return { title: (lines[0] ?? '').replace(/^\*\s*/, ''), cards };
}

/** Reads cards one by one and gathers what is wrong with them. */
class Reader {
  readonly problems: NetlistProblem[] = [];
  readonly elements: Element[] = [];
  readonly couplings: Coupling[] = [];
  analysis: Analysis | undefined;
  private readonly models = new Map<string, Model>();
  private card!: Card;

  fail(code: NetlistProblem['code']): void {
    this.problems.push({ line: this.card.line, code, text: this.card.text });
  }
  private number(text: string | undefined): number {
    const value = text === undefined ? NaN : readNumber(text);
    if (Number.isNaN(value)) this.fail(text === undefined ? 'missing' : 'bad-number');
    return value;
  }
  /** `IC=5` among the words, if it is there. */
  private named(name: string): number | undefined {
    const word = this.card.words.find((w) => w.toLowerCase().startsWith(`${name}=`));
    return word === undefined ? undefined : this.number(word.slice(name.length + 1));
  }

  model(card: Card): void {
    this.card = card;
    const [, name, , ...pairs] = card.words;
    if (!name) return this.fail('missing');
    const values = pairs.map((p) => p.split('=')).map(([k, v]) => [k!.toUpperCase(), this.number(v)] as const);
    this.models.set(name.toLowerCase(), Object.fromEntries(values));
  }
  private modelOf(name: string | undefined): Model {
    const found = this.models.get((name ?? '').toLowerCase());
    if (!found) this.fail('unknown-model');
    return found ?? {};
  }

  /** What a source gives, volts or amperes: a steady value, and how it moves. */
  private given(words: string[]): { steady: number; wave?: Waveform } {
    const rest = [...words];
    let steady = 0;
    while (rest.length) {
      const word = rest.shift()!.toLowerCase();
      const numbers = () => rest.splice(0).map((w) => this.number(w));
      if (word === 'dc') steady = this.number(rest.shift());
      else if (word === 'sin') return moving(sine(numbers()));
      else if (word === 'pulse') return moving(pulse(numbers()));
      else if (word === 'pwl') return moving(corners(numbers()));
      else steady = this.number(word);
    }
    return { steady };
  }

  element(card: Card): void {
    this.card = card;
    const [name, a, b, c, d, e] = card.words as [string, ...(string | undefined)[]];
    const id = name.toLowerCase();
    if (a === undefined || b === undefined) return this.fail('missing');
    const node = (text: string) => (text.toLowerCase() === 'gnd' ? '0' : text.toLowerCase());
    const ends = { id, a: node(a), b: node(b) };
    switch (id[0]) {
      case 'r':
        return void this.elements.push({ type: 'resistor', ...ends, ohms: this.number(c) });
      case 'l':
        return void this.elements.push({
          type: 'inductor',
          ...ends,
          henries: this.number(c),
          ...optional('initialAmps', this.named('ic')),
        });
      case 'c':
        return void this.elements.push({
          type: 'capacitor',
          ...ends,
          farads: this.number(c),
          ...optional('initialVolts', this.named('ic')),
        });
      case 'v':
      case 'i': {
        const { steady, ...wave } = this.given(card.words.slice(3));
        return void this.elements.push(
          id.startsWith('v')
            ? { type: 'voltage', ...ends, volts: steady, ...wave }
            : { type: 'current', ...ends, amps: steady, ...wave },
        );
      }
      case 'e':
        if (c === undefined || d === undefined) return this.fail('missing');
        return void this.elements.push({
          type: 'controlled',
          ...ends,
          controlA: node(c),
          controlB: node(d),
          gain: this.number(e),
        });
      case 'd': {
        const m = this.modelOf(c);
        return void this.elements.push({
          type: 'diode',
          ...ends,
          saturationAmps: m['IS'] ?? 1e-14,
          emission: m['N'] ?? 1,
          seriesOhms: m['RS'] ?? 0,
        });
      }
      case 's': {
        if (c === undefined || d === undefined) return this.fail('missing');
        const m = this.modelOf(e);
        const [middle, half] = [m['VT'] ?? 0, m['VH'] ?? 0];
        const control = { a: node(c), b: node(d), closesAt: middle + half, opensAt: middle - half };
        return void this.elements.push({
          type: 'switch',
          ...ends,
          closed: false,
          onOhms: m['RON'] ?? 1,
          offOhms: m['ROFF'] ?? 1e12,
          control,
        });
      }
      case 'k':
        return void this.couplings.push({ id, first: a.toLowerCase(), second: b.toLowerCase(), k: this.number(c) });
      default:
        return this.fail('unknown-card');
    }
  }

  command(card: Card): void {
    this.card = card;
    const [name, ...words] = card.words.map((w) => w.toLowerCase());
    if (name === '.op') this.analysis = { kind: 'op' };
    else if (name === '.tran') {
      const [step, until, , longest] = words.filter((w) => w !== 'uic');
      this.analysis = {
        kind: 'tran',
        step: this.number(step),
        until: this.number(until),
        ...optional('longest', longest === undefined ? undefined : this.number(longest)),
        fromInitial: words.includes('uic'),
      };
    } else if (name !== '.end' && name !== '.model') this.fail('unknown-card');
  }
}

const optional = <K extends string>(key: K, value: number | undefined) =>
  value === undefined ? {} : ({ [key]: value } as Record<K, number>);
const moving = (wave: Waveform) => ({ steady: waveAt(wave, 0), wave });
const sine = ([offset = 0, amplitude = 0, hertz = 0, delay = 0, damping = 0]: number[]): Waveform => ({
  kind: 'sine',
  offset,
  amplitude,
  hertz,
  delay,
  damping,
});
const pulse = ([
  low = 0,
  high = 0,
  delay = 0,
  rise = 1e-9,
  fall = 1e-9,
  width = Infinity,
  period = Infinity,
]: number[]): Waveform => ({
  kind: 'pulse',
  low,
  high,
  delay,
  rise,
  fall,
  width,
  period,
});
const corners = (numbers: number[]): Waveform => ({
  kind: 'corners',
  points: Array.from({ length: numbers.length >> 1 }, (_, i) => [numbers[2 * i]!, numbers[2 * i + 1]!] as const),
});

/** A switch worked by a fixed source is open or closed from the start. */
function settleSwitches(elements: readonly Element[]): Element[] {
  const held = new Map<string, number>();
  for (const e of elements) if (e.type === 'voltage' && e.b === '0') held.set(e.a, e.volts);
  return elements.map((e) => {
    if (e.type !== 'switch' || !e.control) return e;
    const volts = (held.get(e.control.a) ?? 0) - (held.get(e.control.b) ?? 0);
    return { ...e, closed: volts > (e.control.closesAt + e.control.opensAt) / 2 };
  });
}

/**
 * Reads a SPICE netlist: R L C V I E D S K, `.model`, `.op`, `.tran`. The first line is the title. Every card that is
 * not known is named with its line; nothing is skipped in silence.
 */
export function readNetlist(text: string): NetlistResult {
  const { title, cards } = cardsOf(text);
  const reader = new Reader();
  for (const card of cards) if (card.words[0]!.toLowerCase() === '.model') reader.model(card);
  for (const card of cards) {
    if (card.words[0]!.startsWith('.')) reader.command(card);
    else reader.element(card);
  }
  if (reader.problems.length) return { ok: false, problems: reader.problems };
  if (!reader.analysis) return { ok: false, problems: [{ line: 1, code: 'no-analysis', text: title }] };
  const { couplings, analysis } = reader;
  return { ok: true, netlist: { title, elements: settleSwitches(reader.elements), couplings, analysis } };
}
