import { figuresAt } from '../../../machine/figures.ts';
import { KEY_OFF, switching, type CheckMaker } from '../../../machine/check.ts';
import { seen } from '../../../machine/seen.ts';

export const lookWires: CheckMaker = (machine) => [
  {
    id: 'look-wires',
    station: 'coil-feed',
    label: 'Ignition wiring',
    set: 'Key off.',
    touch: `Follow and tug the feed, the wire to the coil and the wire to the ${switching(machine).name}.`,
    watch: 'Bare copper, melted or patched insulation, green ends, a terminal that slips off.',
    instrument: 'eyes',
    probe: {
      kind: 'look',
      sees: (scene) => {
        const bad = (id: 'feed' | 'coil-feed' | 'coil-minus') =>
          seen(figuresAt(scene.params, id).ohms > 0.5, 0.45) + seen(figuresAt(scene.params, id).earthOhms < 1e3, 0.4);
        const [feed, coil, points] = [bad('feed'), bad('coil-feed'), bad('coil-minus')].map((p) => Math.min(p, 0.9));
        const [f, c, p] = [feed!, coil! * (1 - feed!), points! * (1 - feed!) * (1 - coil!)];
        return {
          'feed bad': f,
          'wire to coil bad': c,
          [`wire to ${switching(machine).name} bad`]: p,
          'all sound': 1 - f - c - p,
        };
      },
    },
    state: KEY_OFF,
    words: ['all sound', 'feed bad', 'wire to coil bad', `wire to ${switching(machine).name} bad`],
    needs: ['coil-feed', 'coil-minus'],
    minutes: 1.5,
    opens: [],
    cautions: [],
    look: true,
  },
];
