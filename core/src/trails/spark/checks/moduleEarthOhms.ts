import { KEY_OFF, type CheckMaker } from '../../../machine/check.ts';

export const moduleEarthOhms: CheckMaker = () => [
  {
    id: 'module-earth-ohms',
    station: 'module-earth',
    label: 'Module’s base to engine block, ohms',
    set: 'Key off. Short the probes first and subtract what they read.',
    touch: 'Red to the module’s base or earth wire, black to bare metal on the engine block.',
    watch: 'Nearly nothing, and steady while the module is pressed and its wire moved.',
    instrument: 'ohmmeter',
    probe: { kind: 'ohms', red: 'module-', black: 'block', bench: 'module-earth' },
    state: KEY_OFF,
    needs: ['module'],
    minutes: 1,
    opens: [],
    cautions: [],
  },
];
