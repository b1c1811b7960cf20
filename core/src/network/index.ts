export { solveOperatingPoint } from './operatingPoint.ts';
export { floatingNodes } from './grounding.ts';
export { filamentOhms } from './elements/index.ts';
export { GROUND } from './types.ts';
export type * from './types.ts';
