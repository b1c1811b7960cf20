import type { MachineParams } from './known.ts';
import type { PartParams } from './part.ts';

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
