import { accelerator, choke, float, idleJet, mainJet, needle } from './carburettor.ts';
import { electricPump, mechanicalPump, pulsePump } from './pump.ts';
import { ownCarburettor } from './ownCarburettor.ts';
import { bulb, filter, line, tank, tap, vent } from './supply.ts';

/** Parts that only the fuel trail has. */
export const FUEL_PARTS = {
  tank,
  vent,
  tap,
  line,
  filter,
  bulb,
  mechanicalPump,
  electricPump,
  pulsePump,
  needle,
  float,
  idleJet,
  mainJet,
  choke,
  accelerator,
  ownCarburettor,
};
