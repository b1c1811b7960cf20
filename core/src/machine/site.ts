import { GROUND, type NodeName } from '../network/index.ts';
import type { PartInstance } from './part.ts';
import type { Fit } from '../schema/fit.ts';

/**
 * The ground on which a machine's trails are built: what they share is put up by the first that needs it, and found in
 * place by the others.
 */
export class Site {
  readonly fit: Fit;
  /** The battery's earth post, and bare metal on the engine: one of them is the network's ground. */
  readonly earthPost: NodeName;
  readonly block: NodeName;
  private readonly taken = new Set<string>();

  constructor(fit: Fit, ground: 'battery' | 'engine') {
    this.fit = fit;
    this.earthPost = ground === 'battery' ? GROUND : 'earth-post';
    this.block = ground === 'battery' ? 'block' : GROUND;
  }

  /** Parts of something shared, for the trail that needs it first; nothing for the others. */
  take(what: string, make: () => readonly PartInstance[]): readonly PartInstance[] {
    if (this.taken.has(what)) return [];
    this.taken.add(what);
    return make();
  }
}
