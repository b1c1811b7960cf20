import type { MachineParams } from './known.ts';
import type { PartParams } from './part.ts';

/** Which figures the part of an id has. Each room of `trails` adds its own in its `figures.ts`. */
// eslint-disable-next-line @typescript-eslint/no-empty-object-type -- filled by declaration merging
export interface PartFigures {}

/** Ids of parts that one file may ask another's figures of. */
export type PartId = keyof PartFigures;

/** Figures of a part that the machine has. Throws a RangeError where it has none. */
export function figuresAt<Id extends PartId>(params: MachineParams, id: Id): PartFigures[Id] {
  const own = figuresIfAny(params, id);
  if (own === undefined) throw new RangeError(`This machine has no part "${id}"`);
  return own;
}

/** The same of a part that it need not have. */
export const figuresIfAny = <Id extends PartId>(params: MachineParams, id: Id): PartFigures[Id] | undefined =>
  params[id] as PartFigures[Id] | undefined;

/** Whether the machine has a part at all. */
export const hasFigures = (params: MachineParams, id: PartId): boolean => params[id] !== undefined;

/** The machine's figures with those of one part put in its place. */
export const withFigures = <Id extends PartId>(params: MachineParams, id: Id, own: PartFigures[Id]): MachineParams => ({
  ...params,
  [id]: own as PartParams,
});

/** A figure that only some of a kind have, where it must be had. Throws a RangeError that names it where it is not. */
export function needed(figure: number | undefined, name: string): number {
  if (figure === undefined) throw new RangeError(`A part of this machine has no "${name}"`);
  return figure;
}
