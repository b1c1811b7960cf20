import type { PartKind } from '../../../machine/part.ts';
import { startingOf } from '../starting.ts';

/** Share of the nominal volts that a battery still gives while such a load draws what the starter would. */
const UNDER_LOAD = 0.8;

/** A carbon pile or coil that a helper clips to the posts: it draws about what the starter does. */
export const loadTester: PartKind<never> = {
  kind: 'load tester',
  symbol: 'none',
  plates: [],
  repairs: [],
  faults: [],
  elements: (_p, { id, nodes, fit, state }) =>
    state.clipped?.includes(id)
      ? [
          {
            type: 'resistor',
            id,
            a: nodes['a']!,
            b: nodes['b']!,
            ohms: (UNDER_LOAD * fit.volts) / startingOf(fit).amps,
          },
        ]
      : [],
};
