import { GROUND, type NodeName } from '../network/index.ts';
import type { PartInstance } from './part.ts';
import type { Fit } from '../schema/fit.ts';
import type { Station } from './trail.ts';

/** What one trail has put up that another may find in place. */
interface Put {
  readonly parts: readonly PartInstance[];
  readonly stations: readonly Station[];
}

/**
 * The ground on which a machine's trails are built: what they share is put up by the first that needs it, and found in
 * place by the others.
 */
export class Site {
  readonly fit: Fit;
  /** The battery's earth post, and bare metal on the engine: one of them is the network's ground. */
  readonly earthPost: NodeName;
  readonly block: NodeName;
  private readonly taken = new Map<string, Put>();

  constructor(fit: Fit, ground: 'battery' | 'engine') {
    this.fit = fit;
    this.earthPost = ground === 'battery' ? GROUND : 'earth-post';
    this.block = ground === 'battery' ? 'block' : GROUND;
  }

  /** Parts of something shared, for the trail that needs it first; nothing for the others. */
  take(what: string, make: () => readonly PartInstance[]): readonly PartInstance[] {
    if (this.taken.has(what)) return [];
    const parts = make();
    this.taken.set(what, { parts, stations: [] });
    return parts;
  }
}
