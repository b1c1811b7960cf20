import { PARTS, type PartInstance } from './parts/index.ts';

/** What counts the sparks hangs on the coil’s switched side, and earths it where its wire is shorted. */
export const revCounterPart: PartInstance = {
  id: 'rev-counter',
  label: 'Rev counter’s wire',
  station: 'coil-minus',
  kind: PARTS.revCounter,
  nodes: { a: 'coil-', b: 'block' },
};
