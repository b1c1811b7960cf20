import type { MachineParams } from './known.ts';
import type { PartInstance, PartParams } from './part.ts';

/** Which figures were read while it was worked out what follows from a machine's figures. */
export class FiguresRead {
  private readonly read = new Map<string, Set<string>>();

  /** The same figures, each noted when it is read; all of a part where it is copied whole. */
  watching(figures: MachineParams): MachineParams {
    return Object.fromEntries(Object.entries(figures).map(([id, own]) => [id, this.watched(id, own)]));
  }
  private watched(id: string, figures: PartParams): PartParams {
    const note = (figure: string) => {
      const own = this.read.get(id);
      if (own) own.add(figure);
      else this.read.set(id, new Set([figure]));
    };
    return new Proxy(figures, {
      get: (all, figure) => {
        if (typeof figure === 'string') note(figure);
        return Reflect.get(all, figure) as number;
      },
      ownKeys: (all) => {
        note(WHOLE);
        return Reflect.ownKeys(all);
      },
    });
  }

  /** Whether a part with these figures instead of those would have been read the same. */
  ignores(id: string, those: PartParams, these: PartParams): boolean {
    const own = this.read.get(id);
    if (!own) return true;
    if (own.has(WHOLE)) return false;
    for (const figure of own) if (those[figure] !== these[figure]) return false;
    return true;
  }
}

const WHOLE = '*';

/** Figures of a machine beside those of the same one without its fault, and the parts in which the two differ. */
export interface Beside {
  readonly figures: MachineParams;
  readonly differing: readonly PartInstance[];
}

/**
 * What settles a machine writes figures anew each time: those that are the base's by value are given back as the base's
 * own. `given` is what it had before it settled: what a fault itself gave it differs in any case.
 */
export function figuresBeside(
  parts: readonly PartInstance[],
  given: MachineParams,
  settled: MachineParams,
  base: MachineParams,
): Beside {
  const differing: PartInstance[] = [];
  let figures = settled;
  for (const part of parts) {
    const [own, there] = [settled[part.id]!, base[part.id]!];
    if (own === there) continue;
    if (own === given[part.id] || !alike(own, there)) differing.push(part);
    else figures = { ...figures, [part.id]: there };
  }
  return { figures, differing };
}

function alike(a: PartParams, b: PartParams): boolean {
  for (const k in a) if (a[k] !== b[k]) return false;
  for (const k in b) if (!(k in a)) return false;
  return true;
}
