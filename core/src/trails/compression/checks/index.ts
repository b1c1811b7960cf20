import type { CheckMaker } from '../../../machine/check.ts';
import { compressionGauge, leakDownChecks } from './gauge.ts';
import { glowing } from './glowing.ts';
import { around, clearances, dieselDrop, listen } from './looked.ts';

/** Checks of the compression trail, in the order in which one walks it. */
export const COMPRESSION_CHECKS: readonly CheckMaker[] = [
  listen,
  around,
  dieselDrop,
  compressionGauge,
  clearances,
  leakDownChecks,
  glowing,
];
