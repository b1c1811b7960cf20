import { belt, chargeLamp, chargeWire, consumers, exciteResistor, lamps, standing } from './around.ts';
import { fieldWire } from './fieldWire.ts';
import { cutOut, regulator, regulatorApart, regulatorBox, regulatorEarth, regulatorRectifier } from './regulator.ts';
import { alternator, generator, generatorB } from './source.ts';
import { statorSingle, statorThree } from './stator.ts';

/** The kinds of part that the charge trail is built of, besides what trails share. */
export const CHARGE_PARTS = {
  alternator,
  belt,
  chargeLamp,
  chargeWire,
  consumers,
  cutOut,
  exciteResistor,
  fieldWire,
  generator,
  generatorB,
  lamps,
  regulator,
  regulatorApart,
  regulatorBox,
  regulatorEarth,
  regulatorRectifier,
  standing,
  statorSingle,
  statorThree,
} as const;
export { chargerAt } from './source.ts';
export { wattsOf } from './around.ts';
