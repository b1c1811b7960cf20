import type { FitOut } from '../schema/fitOut.ts';
import type { MachineBody } from '../schema/machine.ts';
import type { Twist } from '../schema/practice.ts';
import type { SymptomId } from '../schema/symptoms.ts';

/** A lesson that ships: in an order, each with what it teaches. */
export interface CourseLesson {
  /** From 1. */
  readonly n: number;
  readonly title: string;
  readonly symptom: SymptomId;
  readonly teaches: string;
  readonly machine: MachineBody;
  readonly faults: readonly string[];
  readonly twists: readonly Twist[];
  readonly seed: number;
}

type Whole = Omit<FitOut, 'trails'>;
type Told = FitOut['trails'][number];
const whole: Whole = { volts: 12, earth: 'negative', cylinders: 4, marine: false, compressionRatio: 8 };
const machine = (name: string, kind: MachineBody['kind'], worth: number, fitOut: FitOut): MachineBody => ({
  name,
  kind,
  maker: '',
  year: '',
  worth,
  firingOrder: '',
  notes: '',
  fitOut,
  plates: {},
});

const points: Told = { trail: 'spark', kind: 'battery-points', options: { ballast: 'none', fused: true } };
const ballasted: Told = { trail: 'spark', kind: 'battery-points', options: { ballast: 'external', fused: true } };
const relay: Told = { trail: 'crank', kind: 'relay', options: { interlocks: ['Neutral'] } };
const direct: Told = { trail: 'crank', kind: 'direct', options: { interlocks: [] } };
const alternator: Told = { trail: 'charge', kind: 'alternator', options: { tells: 'lamp', loads: [] } };
const pump: Told = {
  trail: 'fuel',
  kind: 'mechanical',
  options: { carburettors: 1, sealed: false, enriching: 'choke' },
};
const gravity: Told = {
  trail: 'fuel',
  kind: 'gravity',
  options: { carburettors: 1, sealed: false, enriching: 'choke' },
};
const throttled: Told = { trail: 'air', kind: 'throttled', options: {} };
const weights: Told = { trail: 'timing', kind: 'weights', options: {} };

const saloon = machine('The quarry saloon', 'car', 2400, { ...whole, trails: [points, direct] });
const ballastSaloon = machine('The schoolmaster’s saloon', 'car', 2600, {
  ...whole,
  cylinders: 6,
  trails: [ballasted, direct],
});
const delivery = machine('The bread van', 'car', 1800, { ...whole, trails: [points, direct, alternator] });
const pickup = machine('The hill pick-up', 'car', 2200, { ...whole, trails: [points, pump, throttled] });
const meadow = machine('The meadow tractor', 'tractor', 3000, {
  ...whole,
  compressionRatio: 6.4,
  trails: [points, gravity],
});
const skiff = machine('The twin on the skiff', 'boat', 900, {
  ...whole,
  cylinders: 2,
  marine: true,
  compressionRatio: 7,
  trails: [{ trail: 'spark', kind: 'flywheel-magneto', options: { ballast: 'none', fused: false } }],
});
const ferry = machine('The ferry’s tender', 'boat', 6000, {
  ...whole,
  cylinders: 4,
  marine: true,
  trails: [points, relay, pump, weights],
});

/** Twelve, from a flat battery to two faults on a boat in the rain. */
export const COURSE: readonly CourseLesson[] = [
  {
    n: 1,
    title: 'It turns slowly',
    symptom: 'crank-slow',
    teaches: 'Rest volts first, then the same battery under load. A flat one is charged, not replaced.',
    machine: saloon,
    faults: ['battery.flat'],
    twists: [],
    seed: 11,
  },
  {
    n: 2,
    title: 'Slow, with a good battery',
    symptom: 'crank-slow',
    teaches: 'A good battery and a starter that gets nothing: volts lost on the way are measured where they are lost.',
    machine: saloon,
    faults: ['strap.corroded'],
    twists: [],
    seed: 12,
  },
  {
    n: 3,
    title: 'No spark at the plug',
    symptom: 'no-fire',
    teaches: 'Halve the way: coil lead against plug lead. Then the low side: volts with the points closed and open.',
    machine: saloon,
    faults: ['points.burnt'],
    twists: [],
    seed: 13,
  },
  {
    n: 4,
    title: 'Volts that never arrive',
    symptom: 'no-fire',
    teaches: 'Volts before and behind the ballast, with current flowing. Without current a bad joint shows nothing.',
    machine: ballastSaloon,
    faults: ['ballast.open'],
    twists: [],
    seed: 14,
  },
  {
    n: 5,
    title: 'One cylinder misses',
    symptom: 'misses',
    teaches: 'Find which cylinder first; then plug against lead, by changing one thing at a time.',
    machine: saloon,
    faults: ['lead-3.open'],
    twists: [],
    seed: 15,
  },
  {
    n: 6,
    title: 'It floods',
    symptom: 'floods',
    teaches: 'Look into the bowl’s needle before the carburettor is blamed, and keep sparks away from wet fuel.',
    machine: meadow,
    faults: ['fuel-needle.leaks'],
    twists: [],
    seed: 16,
  },
  {
    n: 7,
    title: 'No power up the hill',
    symptom: 'no-pull',
    teaches: 'Fuel into a can against the clock tells more than any look; then walk back towards the tank.',
    machine: pickup,
    faults: ['fuel-filter.blocked'],
    twists: [],
    seed: 17,
  },
  {
    n: 8,
    title: 'The red lamp',
    symptom: 'lamp-wrong',
    teaches: 'Lamp with the key, lamp as it runs, volts at speed: three looks before a regulator is bought.',
    machine: delivery,
    faults: ['charge-regulator.dead'],
    twists: [],
    seed: 18,
  },
  {
    n: 9,
    title: 'It will not idle',
    symptom: 'no-idle',
    teaches: 'Air that comes in where it should not: the gauge first, then the joint that changes it.',
    machine: pickup,
    faults: ['air-gasket.leaks'],
    twists: [],
    seed: 19,
  },
  {
    n: 10,
    title: 'Only when it is hot',
    symptom: 'no-fire',
    teaches: 'What comes with heat is measured hot. A pass while it is away proves nothing.',
    machine: saloon,
    faults: ['coil.primary-open'],
    twists: ['comes and goes'],
    seed: 20,
  },
  {
    n: 11,
    title: 'A new part, and worse',
    symptom: 'misses',
    teaches: 'What was touched last is asked first, also when it is new.',
    machine: skiff,
    faults: ['condenser-1.shorted'],
    twists: ['part fitted yesterday'],
    seed: 21,
  },
  {
    n: 12,
    title: 'Two things in the rain',
    symptom: 'no-fire',
    teaches: 'One repair that helps is not the end of it. Try the engine after each, and trace on.',
    machine: ferry,
    faults: ['cap.damp', 'fuel-filter.blocked'],
    twists: ['two faults'],
    seed: 22,
  },
];
export const courseLesson = (n: number): CourseLesson | undefined => COURSE.find((l) => l.n === n);
