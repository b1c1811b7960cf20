import type { Failing } from '../../../machine/cause.ts';
import { coilCauses } from './coils.ts';
import { plugCauses } from './plugs.ts';
import { pointsCauses } from './points.ts';
import { switchingCauses } from './switching.ts';

export const SPARK_CAUSES: readonly Failing[] = [...pointsCauses, ...coilCauses, ...plugCauses, ...switchingCauses];
