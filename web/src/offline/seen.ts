import { inTime, keep } from './keep.ts';

/** Remembers what the server showed, for when it cannot be asked. A full store loses only that. */
export const remember = (path: string, value: unknown): void =>
  void keep()
    .then((k) => k.putSeen(path, value))
    .catch(() => undefined);

/** What was last seen there; undefined where nothing was. */
export const recall = (path: string): Promise<unknown> => inTime((k) => k.getSeen(path));
