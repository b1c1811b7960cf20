import type { Failing } from '../machine/cause.ts';
import { AIR_CAUSES } from './air/causes.ts';
import { CHARGE_CAUSES } from './charge/causes.ts';
import { COMPRESSION_CAUSES } from './compression/causes.ts';
import { CRANK_CAUSES } from './crank/causes.ts';
import { FUEL_CAUSES } from './fuel/causes.ts';
import { SHARED_CAUSES } from './shared/causes.ts';
import { STOP_CAUSES } from './stop/causes.ts';
import { TIMING_CAUSES } from './timing/causes.ts';
import { SPARK_CAUSES } from './spark/causes/index.ts';

/** What may lie behind a fault, of every trail: a part of one may have been hurt by another. */
export const CAUSES: readonly Failing[] = [
  ...SHARED_CAUSES,
  ...SPARK_CAUSES,
  ...CRANK_CAUSES,
  ...CHARGE_CAUSES,
  ...FUEL_CAUSES,
  ...TIMING_CAUSES,
  ...STOP_CAUSES,
  ...AIR_CAUSES,
  ...COMPRESSION_CAUSES,
];
