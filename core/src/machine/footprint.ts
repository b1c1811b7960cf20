import type { OperatingPoint } from '../network/index.ts';
import type { MachineParams } from './known.ts';
import type { MachineState } from './part.ts';
import { keyOf } from './state.ts';

/** What a reading depends on: the parts whose figures it asked for, and what it asked of the low-voltage network. */
export class Footprint {
  readonly parts = new Set<string>();
  /** States of which it read efforts or flows, by name. */
  readonly states = new Map<string, MachineState>();
  /** Whether it asked more of the network than its efforts: what lies behind a node, or what a probe would do to it. */
  probed = false;

  noteState(state: MachineState): void {
    this.states.set(keyOf(state), state);
  }
  /** `only` is a part on the bench: nothing else of the network is met there. */
  noteProbe(only?: string): void {
    if (only === undefined) this.probed = true;
    else this.parts.add(only);
  }
  include(other: Footprint): void {
    for (const id of other.parts) this.parts.add(id);
    for (const [key, state] of other.states) this.states.set(key, state);
    this.probed ||= other.probed;
  }

  /** Figures that note which parts are asked for. */
  watching(figures: MachineParams): MachineParams {
    return new Proxy(figures, {
      get: (all, id) => {
        if (typeof id === 'string') this.parts.add(id);
        return Reflect.get(all, id) as MachineParams[string];
      },
      ownKeys: (all) => {
        for (const id of Object.keys(all)) this.parts.add(id);
        return Reflect.ownKeys(all);
      },
    });
  }
  /** A solution that notes when more than its efforts and flows is asked. */
  watchingPoint(point: OperatingPoint): OperatingPoint {
    return {
      ...point,
      floating: point.floating,
      outputOhms: (a, b) => {
        this.probed = true;
        return point.outputOhms(a, b);
      },
    };
  }
}
