import type { Fit, FitOut, FitOutOne, MachineBody, TrailFit } from '@pondu/core';
import { fitOf } from '@pondu/core/schema';
import { asks } from './sight.ts';

type Choices<K extends keyof Fit> = readonly {
  value: `${Fit[K] & (string | number | boolean)}`;
  label: string;
  help?: string;
}[];

/** What one sees, and what it means for the trail. */
export const VOLTS: Choices<'volts'> = [
  { value: '6', label: '6 V', help: 'three cells' },
  { value: '12', label: '12 V', help: 'six cells' },
  { value: '24', label: '24 V', help: 'two of twelve' },
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

export const LAYOUT_WORDS: Readonly<Record<FitOutOne['layout'], string>> = {
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

type KindOf<T extends TrailFit['trail']> = (TrailFit & { trail: T })['kind'];
interface Option<V extends string> {
  readonly value: V;
  readonly label: string;
  readonly help?: string;
}
export const CRANK: readonly Option<'' | KindOf<'crank'>>[] = [
  { value: '', label: 'Not told', help: 'nothing is traced there' },
  { value: 'direct', label: 'A starter, told by the key', help: 'its solenoid sits on the starter' },
  { value: 'relay', label: 'A starter, through a relay', help: 'or a solenoid on the bulkhead' },
  { value: 'glow', label: 'A starter, with glow plugs', help: 'or an intake heater, on one feed' },
  { value: 'pull', label: 'A cord, a kick or a crank', help: 'no starter' },
];
export const CHARGE: readonly Option<'' | KindOf<'charge'>>[] = [
  { value: '', label: 'Not told', help: 'nothing is traced there' },
  { value: 'generator', label: 'A generator and a regulator box', help: 'two thick terminals, a cut-out' },
  { value: 'alternator', label: 'An alternator', help: 'its regulator inside' },
  { value: 'alternator-apart', label: 'An alternator, regulator apart', help: 'a box on the wing or bulkhead' },
  { value: 'stator-single', label: 'Coils under the flywheel', help: 'two wires to the regulator' },
  { value: 'stator-three', label: 'Coils under the flywheel, three wires', help: 'all alike, to the regulator' },
  { value: 'lighting-coil', label: 'A lighting coil only', help: 'no battery is charged' },
];
export const FUEL: readonly Option<'' | KindOf<'fuel'>>[] = [
  { value: '', label: 'Not told', help: 'nothing is traced there' },
  { value: 'gravity', label: 'The tank stands above', help: 'no pump, a tap' },
  { value: 'mechanical', label: 'A pump on the engine', help: 'a lever on its cam' },
  { value: 'electric', label: 'An electric pump', help: 'it ticks or hums' },
  { value: 'pulse', label: 'A pulse pump', help: 'a thin hose from the crankcase' },
  { value: 'bulb', label: 'A tank apart, with a bulb', help: 'squeezed before a start' },
];
export const TIMING: readonly Option<'' | KindOf<'timing'>>[] = [
  { value: '', label: 'Not told', help: 'nothing is traced there' },
  { value: 'by-hand', label: 'By a lever, or not at all' },
  { value: 'weights', label: 'By weights and springs', help: 'under the plate of the distributor' },
  { value: 'weights-vacuum', label: 'By weights and vacuum', help: 'a hose to the carburettor' },
  { value: 'map', label: 'By a computer', help: 'no weights, sensors instead' },
];
export const STOP: readonly Option<'' | KindOf<'stop'>>[] = [
  { value: '', label: 'Not told', help: 'nothing is traced there' },
  { value: 'vacuum', label: 'Vacuum', help: 'a hose to a can on the injection pump' },
  { value: 'cut-to-run', label: 'A solenoid, fed to run', help: 'it clicks as the key goes on' },
  { value: 'cut-to-stop', label: 'A solenoid, fed to stop', help: 'it clicks as the key goes off' },
  { value: 'cable', label: 'A cable', help: 'a knob that is pulled' },
];
export const AIR: readonly Option<'' | KindOf<'air'>>[] = [
  { value: '', label: 'Not told', help: 'nothing is traced there' },
  { value: 'throttled', label: 'A throttle and its idle', help: 'filter, stop, mixture, joints, hoses, exhaust' },
];
export const COMPRESSION: readonly Option<'' | KindOf<'compression'>>[] = [
  { value: '', label: 'Not told', help: 'nothing is traced there' },
  { value: 'four-stroke', label: 'Four strokes', help: 'valves, an oil filler of its own' },
  { value: 'two-stroke', label: 'Two strokes', help: 'ports; oil goes in with the fuel' },
];
export const COOLING: readonly Option<'water' | 'air'>[] = [
  { value: 'water', label: 'Water' },
  { value: 'air', label: 'Air', help: 'fins' },
];
export const ENRICHING: readonly Option<'choke' | 'enricher'>[] = [
  { value: 'choke', label: 'A choke plate', help: 'shuts the throat' },
  { value: 'enricher', label: 'An enricher', help: 'a plunger lets more fuel in' },
];
export const FIELD: readonly Option<'A' | 'B'>[] = [
  { value: 'A', label: 'To the regulator, which earths it' },
  { value: 'B', label: 'To earth in the generator', help: 'the regulator feeds it' },
];
export const WAVE: readonly Option<'half' | 'full'>[] = [
  { value: 'half', label: 'One half', help: 'one end of the coil is on earth' },
  { value: 'full', label: 'Both halves', help: 'neither end is on earth' },
];
export const CONTROL: readonly Option<'shunt' | 'series'>[] = [
  { value: 'shunt', label: 'Shorted', help: 'runs warm at speed' },
  { value: 'series', label: 'Switched off', help: 'stays cool' },
];
export const TELLS: readonly Option<'lamp' | 'ammeter' | 'nothing'>[] = [
  { value: 'lamp', label: 'A lamp' },
  { value: 'ammeter', label: 'An ammeter' },
  { value: 'nothing', label: 'Nothing' },
];
const CRANK_WORDS: Readonly<Record<KindOf<'crank'>, string>> = {
  direct: 'starter with its own solenoid',
  relay: 'starter through a relay',
  glow: 'starter with preheating',
  pull: 'started by hand',
};
const CHARGE_WORDS: Readonly<Record<KindOf<'charge'>, string>> = {
  generator: 'generator and regulator box',
  alternator: 'alternator',
  'alternator-apart': 'alternator, regulator apart',
  'stator-single': 'flywheel coils, one phase',
  'stator-three': 'flywheel coils, three phases',
  'lighting-coil': 'lighting coil',
};

const FUEL_WORDS: Readonly<Record<KindOf<'fuel'>, string>> = {
  gravity: 'tank above the carburettor',
  mechanical: 'mechanical fuel pump',
  electric: 'electric fuel pump',
  pulse: 'pulse fuel pump',
  bulb: 'tank apart, primer bulb',
};

const TIMING_WORDS: Readonly<Record<KindOf<'timing'>, string>> = {
  'by-hand': 'timing by hand',
  weights: 'advance by weights',
  'weights-vacuum': 'advance by weights and vacuum',
  map: 'advance by a map',
};

const STOP_WORDS: Readonly<Record<KindOf<'stop'>, string>> = {
  vacuum: 'stopped by vacuum',
  'cut-to-run': 'stop solenoid, fed to run',
  'cut-to-stop': 'stop solenoid, fed to stop',
  cable: 'stopped by a cable',
};

/** What a kind of ignition has no use for is not said of it. */
function sparkWords(f: Fit, layout: FitOutOne['layout']): string[] {
  const { supply, ballast } = asks(layout);
  return [
    LAYOUT_WORDS[layout],
    ...(layout === 'electronic' ? [TRIGGER_WORDS[f.trigger ?? 'magnetic']] : []),
    ...(layout === 'points-coils' && f.cylinders === 2
      ? [f.coils === 'one each' ? 'a coil each' : 'one coil with two leads']
      : []),
    ...(ballast
      ? [f.ballast === 'none' ? 'no ballast' : f.ballast === 'external' ? 'ballast' : 'ballast bypassed while cranking']
      : []),
    ...(supply ? [f.fused ? 'fused' : 'no fuse'] : []),
    ...(supply ? (f.added ?? []).map((a) => a.label.toLowerCase()) : []),
  ];
}

/** A fit-out in a line. */
export function fitOutWords(fitOut: FitOut): string {
  const f = fitOf(fitOut);
  const battery =
    (f.spark && asks(f.spark).supply) ||
    (f.crank && f.crank.kind !== 'pull') ||
    (f.charge && f.charge.kind !== 'lighting-coil');
  return [
    ...(battery ? [`${f.volts} V ${f.earth} earth`] : []),
    f.cylinders === 1 ? '1 cylinder' : `${f.cylinders} cylinders`,
    ...(f.spark ? sparkWords(f, f.spark) : []),
    ...(f.crank ? [CRANK_WORDS[f.crank.kind]] : []),
    ...(f.charge ? [CHARGE_WORDS[f.charge.kind]] : []),
    ...(f.fuel ? [FUEL_WORDS[f.fuel.kind]] : []),
    ...(f.timing ? [TIMING_WORDS[f.timing.kind]] : []),
    ...(f.air ? ['air and idle'] : []),
    ...(f.stop ? [STOP_WORDS[f.stop.kind]] : []),
    ...(f.compression ? [f.compression.kind === 'two-stroke' ? 'two strokes' : 'four strokes'] : []),
    ...(f.marine ? ['marine'] : []),
  ].join(', ');
}
