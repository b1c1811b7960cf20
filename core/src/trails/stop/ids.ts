/** Ids of the parts that this trail asks for by name. */
export const SOURCE = 'stop-source';
export const RESERVOIR = 'stop-check';
export const VALVE = 'stop-valve';
export const LINE = 'stop-line';
export const ACTUATOR = 'stop-actuator';
export const SOLENOID = 'stop-solenoid';
export const FEED = 'stop-feed';
export const CABLE = 'stop-cable';
export const RACK = 'stop-rack';
