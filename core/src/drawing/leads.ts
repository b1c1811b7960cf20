import type { Check } from '../trails/checks.ts';
import type { MachineState } from '../machine/part.ts';
import type { DrawnState } from './live.ts';

/** Where a check's two leads go on a drawing, by node; what is unplugged for it, and the state that it is read in. */
export interface Leads {
  readonly red: string;
  readonly black: string;
  readonly unplugged: readonly string[];
  readonly state: DrawnState;
}

function nearest({ key, points, loads }: MachineState): DrawnState {
  if (key === 'off') return 'off';
  if (key === 'crank') return 'cranking';
  if (key === 'run') return loads === 'all' ? 'loaded' : 'running';
  return points === 'open' ? 'on, open' : 'on';
}

/** Nothing for a check that touches no two places: a look, a spark, a part alone on the bench. */
export function leadsOf({ probe, state }: Pick<Check, 'probe' | 'state'>): Leads | undefined {
  const unplugged = state.unplugged ?? [];
  if (probe.kind === 'across') return { red: probe.live, black: probe.earth, unplugged, state: nearest(state) };
  if (probe.kind !== 'ohms' || probe.bench !== undefined) return undefined;
  return { red: probe.red, black: probe.black, unplugged, state: nearest(state) };
}
