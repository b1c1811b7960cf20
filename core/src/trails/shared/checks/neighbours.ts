import {
  hasHeldPoints,
  hasPart,
  KEY_OFF,
  KEY_ON_CLOSED,
  KEY_ON_OPEN,
  looking,
  type CheckMaker,
} from '../../../machine/check.ts';
import type { Scene } from '../../../machine/scene.ts';
import type { MachineState } from '../../../machine/part.ts';
import { logistic } from '../../../random/lcg.ts';

/** What else hangs there takes, watts at the machine's own volts: a pair of lamps, a horn, wipers. */
const NEIGHBOUR_WATTS = 40;

/** How well something of this size would work between two places, in words. */
function works(scene: Scene, state: MachineState, live: string, earth: string): Readonly<Record<string, number>> {
  const { volts } = scene.machine.fit;
  const load = { type: 'resistor', id: 'neighbour', a: live, b: earth, ohms: volts ** 2 / NEIGHBOUR_WATTS } as const;
  const at = scene.solveWith(state, [load]);
  const share = Math.abs(at.volts(live) - at.volts(earth)) / volts;
  const well = logistic((share - 0.75) / 0.05);
  const dead = logistic((0.3 - share) / 0.05);
  return { works: well, dead, weakly: Math.max(0, 1 - well - dead) };
}
const WORDS = ['works', 'weakly', 'dead'] as const;

/** Other consumers on the same feed and earth: free evidence, and nothing to open. */
export const neighbours: CheckMaker = (machine) => {
  const has = (node: string) => machine.parts.some((p) => Object.values(p.nodes).includes(node));
  if (!hasPart(machine, 'battery') || !has('block')) return [];
  const on = hasHeldPoints(machine) ? KEY_ON_CLOSED : KEY_ON_OPEN;
  const common = { words: WORDS, minutes: 0.4, opens: [], cautions: [], look: true } as const;
  const unkeyed = looking(
    {
      ...common,
      id: 'neighbour-battery',
      tap: 'Lamps, horn',
      station: 'terminals',
      label: 'What the battery feeds without the key',
      set: 'Key off.',
      touch: 'Switch on lamps, or press the horn: whatever needs no key.',
      watch: 'Full strength tells that battery, clamps and earth carry amperes, not only volts.',
      state: KEY_OFF,
    },
    (scene) => works(scene, KEY_OFF, 'main', 'block'),
  );
  const keyed = looking(
    {
      ...common,
      id: 'neighbour-switched',
      tap: 'Gauges, wipers',
      station: 'switch',
      label: 'What else the key feeds',
      set: 'Key on, engine still.',
      touch: 'Try gauges, wipers, blower: whatever is fed from the same terminal.',
      watch: 'Dead too: the trouble is before that terminal. Works: it is after it.',
      state: on,
      needs: ['switch'],
    },
    (scene) => works(scene, on, 'switch-out', 'block'),
  );
  return [...(has('main') ? [unkeyed] : []), ...(has('switch-out') ? [keyed] : [])];
};
