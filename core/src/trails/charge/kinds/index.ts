import type { TrailKind } from '../../../machine/trail.ts';
import { alternator, alternatorApart, generator, statorSingle, statorThree } from './charge.ts';
import { lightingCoil } from './lighting.ts';

/** The one place that lists the kinds of charge trail. */
export const CHARGE_TRAILS: readonly TrailKind[] = [
  generator,
  alternator,
  alternatorApart,
  statorSingle,
  statorThree,
  lightingCoil,
];
