import { accelerator, bowlVent, choke, float, idleJet, mainJet, needle } from './carburettor.ts';
import { idleCutOff } from './idleCutOff.ts';
import { electricPump, mechanicalPump, pulsePump } from './pump.ts';
import { ownCarburettor } from './ownCarburettor.ts';
import { vacuumTap } from './vacuumTap.ts';
import { bulb, filter, line, strainer, tank, tap, vapourLine, vent } from './supply.ts';

/** Parts that only the fuel trail has. */
export const FUEL_PARTS = {
  tank,
  vent,
  vapourLine,
  strainer,
  tap,
  vacuumTap,
  line,
  filter,
  bulb,
  mechanicalPump,
  electricPump,
  pulsePump,
  needle,
  float,
  idleJet,
  idleCutOff,
  mainJet,
  bowlVent,
  choke,
  accelerator,
  ownCarburettor,
};
