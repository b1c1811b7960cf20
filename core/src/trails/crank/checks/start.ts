import type { Check } from '../../../machine/check.ts';
import type { Machine } from '../../../machine/machine.ts';
import type { MachineState } from '../../../machine/part.ts';
import { CRANKING } from '../../../machine/state.ts';
import { SOLENOID } from '../cranking.ts';

/** The same with the points held, for what asks the network once. */
export const HOLD: MachineState = { key: 'crank', points: 'closed' };
export const CAUTIONS = ['battery', 'rotating parts'] as const;
/** Whether the machine has a starter that was told. */
export const told = ({ partById }: Machine): boolean => partById.has(SOLENOID);
/** What is the same in every check with the key at start. */
export const start = {
  set: 'Gearbox out of gear, brake on, spark off (coil lead on earth). Key to start for three seconds.',
  state: CRANKING,
  opens: [],
  cautions: CAUTIONS,
} as const satisfies Partial<Check>;
export const marine = ({ fit }: Machine) => (fit.marine ? (['marine'] as const) : []);
