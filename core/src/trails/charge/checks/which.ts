import type { Machine } from '../../../machine/machine.ts';
import { SOURCE } from '../making.ts';

/** The kind of the part that charges; nothing where none was told. */
export const kindOf = ({ partById }: Machine): string => partById.get(SOURCE)?.kind.kind ?? '';
export const isStator = (machine: Machine): boolean => kindOf(machine).startsWith('stator');
