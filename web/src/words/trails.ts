import type { TrailName } from '@pondu/core';

export const TRAIL_LABELS: Readonly<Record<TrailName, string>> = {
  spark: 'Spark',
  crank: 'Crank',
  charge: 'Charge',
  fuel: 'Fuel',
  air: 'Air and idle',
  timing: 'Timing',
  compression: 'Compression',
  stop: 'Stop',
};

/** Trails that a machine can be told of, on its own page. */
const TELLABLE: readonly TrailName[] = ['spark', 'crank', 'charge', 'fuel', 'timing', 'stop', 'air', 'compression'];
export const tellable = (trail: TrailName): boolean => TELLABLE.includes(trail);

/** What a mechanic looks at first on a trail that Pondu has not been told of. */
export const LOOK_THERE: Readonly<Record<TrailName, string>> = {
  spark: 'A tester on every plug lead while it is turned.',
  crank: 'Volts at the starter while the key is at start.',
  charge: 'Volts at the battery at rest, idling and at speed.',
  fuel: 'Is there fuel in the bowl, fresh and without water? A whiff in the intake that makes it cough points here.',
  air: 'A leak at gasket or hose, a blocked filter, the plates of the throttle: listen, and hold a hand over the intake.',
  timing: 'The mark against the piston’s top, the chain or key, the advance by hand.',
  compression: 'A gauge in every plug hole, throttle open, dry and with a spoon of oil.',
  stop: 'Whatever stops it: is it stopping it now?',
};
