import type { TrailKind } from '../../../machine/trail.ts';
import { bulbKind, electric, gravity, mechanical, pulse } from './fuel.ts';

export const FUEL_TRAILS: readonly TrailKind[] = [gravity, mechanical, electric, pulse, bulbKind];
