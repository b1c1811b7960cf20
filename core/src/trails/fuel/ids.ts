/** Ids of the parts that this trail asks for by name. */
export const TANK = 'fuel-tank';
export const VENT = 'fuel-vent';
export const LINE = 'fuel-line';
export const PUMP = 'fuel-pump';
export const TAP = 'fuel-tap';
export const BULB = 'fuel-bulb';
export const CARBURETTOR = {
  needle: 'fuel-needle',
  float: 'fuel-float',
  idleJet: 'fuel-idle-jet',
  idleCutOff: 'fuel-idle-cut-off',
  mainJet: 'fuel-main-jet',
  choke: 'fuel-choke',
  accelerator: 'fuel-accelerator',
  bowlVent: 'fuel-bowl-vent',
} as const;
/** What narrows the way from the tank, in its order. */
export const WAY = ['fuel-strainer', TAP, LINE, 'fuel-filter'] as const;
