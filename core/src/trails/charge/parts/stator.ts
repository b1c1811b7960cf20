import { between, logBetween, type FaultMode, type PartKind, type PlateSpec } from '../../../machine/part.ts';
import { LEG_GONE, shareToCore } from '../harmed.ts';
import { plates, running, type PutIn } from './source.ts';

type StatorFault = FaultMode<
  'voltsPerRpm' | 'ohms' | 'coreOhms' | 'strength',
  'share' | 'openLeg' | 'shortedLeg' | 'failedLeg'
>;
const woundFault = (id: string, label: string, weight: number, apply: StatorFault['apply']): StatorFault => ({
  id,
  label,
  weight,
  repair: 'replace',
  from: { share: 1, shortedLeg: 1 },
  apply,
});
/** From this severity on turns are shorted with it. */
const TURNS_TOO = 0.4;
/** Most of them are burnt through by the time anyone asks; a leak of hundreds of ohms takes nothing yet. */
const toCore = (label: string): StatorFault =>
  woundFault('earthed', label, 2.5, (p, s, fit) => {
    const coreOhms = logBetween(400, 0.1, Math.sqrt(s));
    // What burns through to the core burns its neighbours too.
    const shortedLeg = s > TURNS_TOO ? between(0.85, 0.35, (s - TURNS_TOO) / (1 - TURNS_TOO)) : 1;
    return { ...p, share: shareToCore(coreOhms, fit) * shortedLeg, coreOhms, shortedLeg };
  });
const statorFaults: readonly StatorFault[] = [
  {
    ...woundFault('open', 'open', 2, (p, s) => ({
      ...p,
      share: between(LEG_GONE.share.fast, LEG_GONE.share.idle, s),
      openLeg: 1,
    })),
    leap: true,
  },
  toCore('winding shorted to its core'),
  woundFault('turns', 'turns shorted', 1.2, (p, s) => ({
    ...p,
    share: between(0.7, 0.4, s),
    shortedLeg: between(0.75, 0.45, s),
  })),
];
/** Any of three phases fails alone; the first keeps the name of its way of failing. */
const ofEachPhase = (fault: StatorFault): StatorFault[] =>
  [1, 2, 3].map((leg) => ({
    ...fault,
    id: leg === 1 ? fault.id : `${fault.id}-${leg}`,
    family: fault.id,
    label: `phase ${leg}: ${fault.label}`,
    weight: fault.weight / 3,
    apply: (p, s, fit) => ({ ...fault.apply(p, s, fit), failedLeg: leg }),
  }));
const statorPlates = (winding: string): PlateSpec<'voltsPerRpm' | 'ohms' | 'coreOhms' | 'strength'>[] => [
  ...plates(winding),
  {
    id: 'coreOhms',
    label: 'Insulation to the core',
    dimension: 'resistance',
    typical: () => ({ low: 2e6, high: 2e8 }),
    hidden: true,
  },
  {
    id: 'strength',
    label: 'Strength of the magnets',
    dimension: 'ratio',
    typical: () => ({ low: 1, high: 1 }),
    hidden: true,
  },
];
const stator = (
  kind: string,
  label: string,
  legs: 1 | 3,
): PartKind<
  'voltsPerRpm' | 'ohms' | 'coreOhms' | 'strength',
  'share' | 'openLeg' | 'shortedLeg' | 'failedLeg' | PutIn
> => ({
  kind,
  symbol: 'winding',
  plates: statorPlates(legs === 3 ? 'A phase' : 'The coil'),
  repairs: [
    { id: 'replace', label, minutes: 110, money: 130 },
    { id: 'magnets', label: 'Replace the flywheel magnets', minutes: 90, money: 180 },
  ],
  faults: [
    ...(legs === 3
      ? statorFaults.flatMap(ofEachPhase)
      : [
          woundFault('open', 'open', 2, (p) => ({ ...p, share: 0, openLeg: 1 })),
          toCore('to its core'),
          statorFaults[2]!,
        ]),
    {
      id: 'weak',
      from: { share: 1 },
      label: 'magnets weak or loose',
      weight: 0.8,
      repair: 'magnets',
      apply: (p, s) => ({ ...p, strength: between(0.6, 0.35, s), share: between(0.6, 0.35, s) }),
    },
  ],
  elements: (p, context) => {
    const { id, nodes } = context;
    const working = running(p, context);
    return working.length ? working : [{ type: 'resistor', id, a: nodes['a']!, b: nodes['b']!, ohms: 2e5 }];
  },
});
export const statorThree = stator('stator, three phases', 'Replace the stator', 3);
export const statorSingle = stator('stator, one phase', 'Replace the stator', 1);
