/** Ids of the parts that this trail asks for by name. */
export const SOLENOID = 'starter-solenoid';
export const RELAY = 'start-relay';
export const START_SWITCH = 'start-switch';
export const MOTOR = 'starter-motor';
export const DRIVE = 'starter-drive';
export const ENGINE = 'engine';
export const DECOMPRESSOR = 'decompressor';
