export { NoSolution, Scene } from './scene.ts';
export type { Known, MachineParams } from './known.ts';
export { assemble, type Machine } from './machine.ts';
export type { Observable, Offers, Spark, SparkAt, SparkPlace } from './observed.ts';
export type { Station, Trail, TrailKind } from './trail.ts';
export { fitOf, type Fit } from '../schema/fit.ts';
export { Site } from './site.ts';
