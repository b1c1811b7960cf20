import { between, type PartKind, type PlateSpec } from '../../../machine/part.ts';

/** Diameter over the magnets: what turns an edge gap into degrees. Metres. */
export const across = (low: number, high: number): PlateSpec<'acrossMetres'> => ({
  id: 'acrossMetres',
  label: 'Across the magnets',
  dimension: 'length',
  typical: () => ({ low, high }),
});

/** Flywheel with its magnets and the key that sets it against the crank. */
export const flywheel: PartKind<'strength' | 'slipDegrees' | 'crankRpm', 'acrossMetres'> = {
  kind: 'flywheel',
  symbol: 'none',
  plates: [
    {
      id: 'strength',
      label: 'Strength of the magnets, against new',
      dimension: 'ratio',
      typical: () => ({ low: 0.95, high: 1.03 }),
      hidden: true,
    },
    {
      id: 'slipDegrees',
      label: 'Off its key',
      dimension: 'angle',
      typical: () => ({ low: 0, high: 0 }),
      hidden: true,
    },
    {
      id: 'crankRpm',
      label: 'Cranking speed',
      dimension: 'ratio',
      typical: () => ({ low: 270, high: 360 }),
      hidden: true,
    },
  ],
  repairs: [
    { id: 'replace', label: 'Replace the flywheel', minutes: 40, money: 140 },
    {
      id: 'key',
      label: 'Fit a new flywheel key',
      minutes: 35,
      money: 3,
      goesWith: 'a cleaned taper and the right torque',
    },
  ],
  faults: [
    {
      id: 'weak',
      label: 'magnets weak or loose',
      weight: 0.8,
      repair: 'replace',
      apply: (p, s) => ({ ...p, strength: between(0.55, 0.25, s) }),
    },
    {
      id: 'sheared',
      label: 'key sheared',
      weight: 2,
      repair: 'key',
      apply: (p, s) => ({ ...p, slipDegrees: between(45, 80, s) }),
    },
  ],
  elements: () => [],
};
/** The same where points open against its magnets. */
export const magnetoFlywheel: typeof flywheel = { ...flywheel, plates: [...flywheel.plates, across(0.14, 0.16)] };
