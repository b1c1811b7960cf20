import { symbolsOf, type Dimension, type TypedReading } from '@pondu/core';
import { habits } from '../units/habits.ts';
import { bareSymbol } from '../units/quantity.ts';

type Failure = Extract<TypedReading, { ok: false }>['failure'];

const NAMES: Readonly<Record<Dimension, string>> = {
  voltage: 'volts',
  resistance: 'ohms',
  current: 'amperes',
  capacitance: 'microfarads',
  inductance: 'millihenries',
  length: 'a length',
  angle: 'degrees',
  speed: 'rpm',
  time: 'a time',
  pressure: 'a pressure',
  volume: 'a volume',
  temperature: 'a temperature',
  torque: 'a torque',
  force: 'a weight or pull',
  turns: 'turns',
  share: 'a share, such as 12 %',
  ratio: 'a plain number',
};
const EXAMPLES: Readonly<Partial<Record<Dimension, string>>> = {
  voltage: '12.4, 0.3V or 300 mV',
  resistance: '1.5, 540 ohm, 4k7 or OL',
  length: '0.4, 15 thou or 0.4 mm',
  capacitance: '0.22 or 220 nF',
  angle: '36',
  pressure: '22, 3 psi or 6 inHg',
  volume: '350 or 0.4 l',
};
/** The same where a bare number is in another unit. */
const exampleHere = (dimension: Dimension): string | undefined => {
  const { length, pressure, volume } = habits.inUse;
  if (dimension === 'length' && length === 'thou') return '15, .015 or 0.4 mm';
  if (dimension === 'length' && length === 'in') return '.015 or 0.4 mm';
  if (dimension === 'pressure' && pressure !== 'kPa')
    return pressure === 'psi' ? '3.2, 22 kPa or 6 inHg' : '0.22, 22 kPa or 3 psi';
  if (dimension === 'volume' && volume !== 'ml') return `12, 350 ml or 0.4 l`;
  return EXAMPLES[dimension];
};
export const example = (dimension: Dimension): string =>
  exampleHere(dimension) ?? `a number in ${bareSymbol(dimension)}`;

/** What is wrong with what was typed, and what to do. */
export function failureWords(failure: Failure): string {
  switch (failure.code) {
    case 'empty':
      return 'Type the reading.';
    case 'unreadable':
      return `“${failure.text}” cannot be read as a figure. Type it like 12.4, 300 mV, 4k7 or OL.`;
    case 'unknown-unit':
      return `“${failure.unit}” is not a unit known here. Leave it out, or use the meter’s symbol.`;
    case 'wrong-dimension':
      return `This check is read in ${NAMES[failure.wanted]} (${symbolsOf(failure.wanted).join(', ')}); ${failure.unit} is ${NAMES[failure.found]}.`;
    case 'negative':
      return `${failure.dimension === 'resistance' ? 'Ohms are' : 'This is'} never below zero. Look for a stray minus, or power left on the circuit.`;
    case 'open-not-possible':
      return `OL is shown on the ohms range; this check is read in ${NAMES[failure.wanted]}.`;
    case 'not-a-word':
      return `Pick one of: ${failure.words.join(', ')}.`;
  }
}
/** Short enough to stand in the box. */
export const placeholder = (dimension: Dimension): string => example(dimension).replace(/,| or/g, ' ·');
