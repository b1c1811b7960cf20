import type { MachineBody } from '../schema/machine.ts';
import { BREATHING } from './breathingMachines.ts';
import { CHARGED } from './chargeMachines.ts';
import { CRANKED } from './crankMachines.ts';
import { FUELLED } from './fuelMachines.ts';
import { KINDS } from './kinds.ts';
import { machine } from './machines.ts';
import { SQUEEZING } from './squeezingMachines.ts';
import { STOPPED } from './stoppedMachines.ts';
import { TIMED } from './timedMachines.ts';

const of = (room: string, machines: Readonly<Record<string, MachineBody>>): [string, MachineBody][] =>
  Object.entries(machines).map(([name, body]) => [`${room}: ${name}`, body]);

/** Every machine that the tests of some trail play: all kinds, one after the other. */
export const EVERY_KIND: readonly (readonly [string, MachineBody])[] = [
  ...Object.entries(KINDS).map(([name, fit]): [string, MachineBody] => [`spark: ${name}`, machine(fit)]),
  ...of('crank', CRANKED),
  ...of('charge', CHARGED),
  ...of('fuel', FUELLED),
  ...of('air', BREATHING),
  ...of('compression', SQUEEZING),
  ...of('timing', TIMED),
  ...of('stop', STOPPED),
];
