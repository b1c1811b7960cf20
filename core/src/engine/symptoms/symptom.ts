import type { Scene } from '../../machine/scene.ts';
import type { SymptomId, TrailName } from '../../schema/symptoms.ts';

/** One thing that an engine or its lamp does. */
export interface Symptom {
  readonly id: SymptomId;
  /** p(symptom | this machine), from what its trails tell. */
  readonly likelihood: (scene: Scene) => number;
  /** The same of a fault that is there for moments only, while the engine turns on: where that feels otherwise. */
  readonly momentary?: (scene: Scene) => number;
  /** The engine does not run while it does this. */
  readonly stands?: true;
  /** p(symptom | something is wrong on a trail that nobody has told), from shop experience; small where it is not named. */
  readonly elsewhere: Readonly<Partial<Record<TrailName, number>>>;
}

/** Of a trail that hardly ever does this. */
export const HARDLY = 0.004;
