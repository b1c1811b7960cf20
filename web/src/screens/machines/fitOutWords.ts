import type { FitOut, MachineBody } from '@pondu/core';
import { asks } from './sight.ts';

type Choices<K extends keyof FitOut> = readonly {
  value: `${FitOut[K] & (string | number | boolean)}`;
  label: string;
  help?: string;
}[];

/** What one sees, and what it means for the trail. */
export const VOLTS: Choices<'volts'> = [
  { value: '6', label: '6 V', help: 'three cells' },
  { value: '12', label: '12 V', help: 'six cells' },
];
export const EARTH: Choices<'earth'> = [
  { value: 'negative', label: 'Negative earth', help: '− post to the chassis' },
  { value: 'positive', label: 'Positive earth', help: '+ post to the chassis' },
];
export const CYLINDERS: Choices<'cylinders'> = [
  { value: '1', label: '1' },
  { value: '2', label: '2' },
  { value: '3', label: '3' },
  { value: '4', label: '4' },
  { value: '6', label: '6' },
  { value: '8', label: '8' },
];
export const BALLAST: Choices<'ballast'> = [
  { value: 'none', label: 'No ballast', help: 'switch straight to coil' },
  { value: 'external', label: 'Ballast', help: 'a resistor before the coil' },
  { value: 'bypassed', label: 'Ballast, bypassed cranking', help: 'a wire from the solenoid too' },
];
export const YES_NO = [
  { value: 'true', label: 'Yes' },
  { value: 'false', label: 'No' },
] as const;
export const KINDS: readonly { value: MachineBody['kind']; label: string }[] = (
  ['car', 'tractor', 'boat', 'motorcycle', 'ATV', 'engine on a stand'] as const
).map((value) => ({ value, label: value }));

export const LAYOUT_WORDS: Readonly<Record<FitOut['layout'], string>> = {
  'battery-points': 'coil and breaker points',
  electronic: 'electronic trigger and module',
  conversion: 'electronic conversion',
  'points-coils': 'points without a distributor',
  'flywheel-magneto': 'flywheel magneto with points',
  'rotating-magneto': 'high-tension magneto',
  'capacitor-discharge': 'capacitor discharge from a charge coil',
  'battery-discharge': 'capacitor discharge from the battery',
  'coil-on-plug': 'a coil on each plug',
};
const TRIGGER_WORDS = { magnetic: 'magnetic pick-up', hall: 'Hall sensor', optical: 'optical sensor' } as const;

/** A fit-out in a line. What a kind has no use for is not said of it. */
export function fitOutWords(f: FitOut): string {
  const { supply, ballast } = asks(f.layout);
  return [
    ...(supply ? [`${f.volts} V ${f.earth} earth`] : []),
    f.cylinders === 1 ? '1 cylinder' : `${f.cylinders} cylinders`,
    LAYOUT_WORDS[f.layout],
    ...(f.layout === 'electronic' ? [TRIGGER_WORDS[f.trigger ?? 'magnetic']] : []),
    ...(f.layout === 'points-coils' && f.cylinders === 2
      ? [f.coils === 'one each' ? 'a coil each' : 'one coil with two leads']
      : []),
    ...(ballast
      ? [f.ballast === 'none' ? 'no ballast' : f.ballast === 'external' ? 'ballast' : 'ballast bypassed while cranking']
      : []),
    ...(supply ? [f.fused ? 'fused' : 'no fuse'] : []),
    ...(supply ? (f.added ?? []).map((a) => a.label.toLowerCase()) : []),
    ...(f.marine ? ['marine'] : []),
  ].join(', ');
}
