export { Scene } from './scene.ts';
export { type Machine } from './machine.ts';
export type { Station } from './trail.ts';
