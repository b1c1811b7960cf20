import { INSTRUMENTS } from '../instruments/index.ts';
import type { Scene } from '../machine/scene.ts';
import type { Check } from '../trails/checks.ts';
import { middleScene } from './middle.ts';
import type { Model } from './model.ts';

interface Known {
  readonly scene: Scene;
  readonly words: Map<Check, string | undefined>;
}
const known = new WeakMap<Model, Known>();

/** The word that a sound machine with its figures in the middle shows oftest; nothing of what is read as a figure. */
export function wellWord(model: Model, check: Check): string | undefined {
  if (check.instrument !== 'eyes') return undefined;
  let own = known.get(model);
  if (!own) known.set(model, (own = { scene: middleScene(model), words: new Map() }));
  if (!own.words.has(check)) {
    const outcome = INSTRUMENTS.eyes.observe(own.scene, check);
    const shares = outcome.kind === 'category' ? Object.entries(outcome.shares) : [];
    own.words.set(check, shares.sort((a, b) => b[1] - a[1])[0]?.[0]);
  }
  return own.words.get(check);
}
