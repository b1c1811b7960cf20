import type { Machine } from '../../../machine/machine.ts';
import { CRANKING } from '../../../machine/state.ts';
import type { Check } from '../../../machine/check.ts';

export const strokesOf = (machine: Machine) => machine.fit.compression?.kind;
const marine = (machine: Machine) => (machine.fit.marine ? (['marine'] as const) : []);

/** Turned by its starter or by hand with nothing that could fire it: what hangs on such a check. */
export const turnedOver = (machine: Machine): Pick<Check, 'set' | 'state' | 'opens' | 'cautions'> => ({
  set: machine.fit.spark
    ? 'Ignition off or earthed, throttle wide open, battery charged.'
    : 'Stop held out so that no fuel is injected, battery charged.',
  state: CRANKING,
  opens: ['plugs out'],
  cautions: ['rotating parts', 'fuel vapour', ...marine(machine)],
});
