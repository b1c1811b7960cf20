import type { Check } from '../../../machine/check.ts';
import { isDiesel } from '../../../machine/hazards.ts';
import type { Machine } from '../../../machine/machine.ts';
import { CRANKING } from '../../../machine/state.ts';
import { SOLENOID } from '../ids.ts';

export const CAUTIONS = ['battery', 'rotating parts'] as const;
/** Whether the machine has a starter that was told. */
export const told = ({ partById }: Machine): boolean => partById.has(SOLENOID);
/** How an engine is kept from firing while it is turned, by what lights it. */
export function keptFromFiring({ fit, partById }: Machine): string {
  if (isDiesel(fit)) return 'stop held out so that it cannot fire';
  if (partById.has('stop-switch')) return 'stop switch at stop and tether pulled, so that it cannot fire';
  if (fit.spark === 'coil-on-plug') return 'coils unplugged, so that it cannot fire';
  return fit.spark === undefined || fit.spark === 'points-coils'
    ? 'ignition off, so that it cannot fire'
    : 'coil lead on earth, so that it cannot fire';
}
/** What is the same in every check with the key at start. */
export const start = (machine: Machine) =>
  ({
    set: `Gearbox out of gear, brake on, ${keptFromFiring(machine)}. Key to start for three seconds.`,
    state: CRANKING,
    opens: [],
    cautions: CAUTIONS,
  }) as const satisfies Partial<Check>;
export const marine = ({ fit }: Machine) => (fit.marine ? (['marine'] as const) : []);
