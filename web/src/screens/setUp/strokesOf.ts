import type { Cranked, MachineBody } from '@pondu/core';

/** Of four strokes unless it was told to be of two. */
export const strokesOf = ({ fitOut }: MachineBody): Cranked['strokes'] =>
  fitOut.trails.some((t) => t.trail === 'compression' && t.kind === 'two-stroke') ? 'two-stroke' : 'four-stroke';
