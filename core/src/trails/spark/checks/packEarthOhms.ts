import { KEY_OFF, nodeOf, type CheckMaker } from '../../../machine/check.ts';

export const packEarthOhms: CheckMaker = (machine) => [
  {
    id: 'pack-earth-ohms',
    station: 'pack-earth',
    label: 'Earth of the pack',
    set: 'Engine still. Short the probes first and subtract what they read.',
    touch: 'Red to the pack’s case or black wire, black to bare metal on the engine.',
    watch: 'Nearly nothing, and steady while the wire is moved.',
    instrument: 'ohmmeter',
    probe: {
      kind: 'ohms',
      red: nodeOf(machine, 'pack-earth', 'a'),
      black: nodeOf(machine, 'pack-earth', 'b'),
      bench: 'pack-earth',
    },
    state: KEY_OFF,
    minutes: 1,
    opens: [],
    cautions: ['capacitor charge'],
  },
];
