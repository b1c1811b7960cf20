import type { TrailKind } from '../../../machine/trail.ts';
import { pull } from './pull.ts';
import { direct, glow, relay } from './starter.ts';

/** The one place that lists the kinds of crank trail. */
export const CRANK_TRAILS: readonly TrailKind[] = [direct, relay, glow, pull];
