/**
 * What stands for a kind of part in a wiring diagram: signs as the international standard for diagrams has them. `none`
 * has no place in one: what is no part of a circuit, and what only a helper clips in.
 */
export const SYMBOL_IDS = [
  'battery',
  'box',
  'cap',
  'capacitor',
  'coil',
  'connector',
  'fuse',
  'gauge',
  'generator',
  'heater',
  'joint',
  'lamp',
  'lead',
  'load',
  'module',
  'motor',
  'plug',
  'points',
  'rectifier',
  'relay',
  'resistor',
  'rotor',
  'switch',
  'winding',
  'wire',
  'none',
] as const;
export type SymbolId = (typeof SYMBOL_IDS)[number];
