import type { FitOut, MachineBody } from '@pondu/core';

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

export const fitOutWords = (f: FitOut): string =>
  [
    `${f.volts} V ${f.earth} earth`,
    `${f.cylinders} cylinders`,
    'coil and breaker points',
    f.ballast === 'none' ? 'no ballast' : f.ballast === 'external' ? 'ballast' : 'ballast bypassed while cranking',
    f.fused ? 'fused' : 'no fuse',
    ...(f.marine ? ['marine'] : []),
  ].join(', ');
