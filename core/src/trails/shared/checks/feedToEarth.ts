import { hasPart, KEY_OFF, type Check, type CheckMaker } from '../../../machine/check.ts';

const OFF = ['fuse', 'coil', 'bypass'];

/** The feed to earth; and again with the suppression capacitor off: unplug until the short goes. */
export const feedToEarth: CheckMaker = (machine) => {
  if (!hasPart(machine, 'fuse')) return [];
  const whole: Check = {
    id: 'feed-to-earth',
    station: 'coil-feed',
    label: 'Feed wire to earth, ohms',
    set: 'Key off, fuse out, feed wire off the coil.',
    touch: 'Red to the switch terminal that feeds the coil, black to the engine block.',
    watch: 'The cold filament of the warning lamp is all that should be left. Near nothing is a short.',
    instrument: 'ohmmeter',
    probe: { kind: 'ohms', red: 'switch-out', black: 'block' },
    state: { ...KEY_OFF, unplugged: [...OFF, 'pack', 'module', 'module-feed'] },
    minutes: 2.5,
    opens: [],
    cautions: [],
  };
  if (!hasPart(machine, 'suppressor')) return [whole];
  return [
    whole,
    {
      ...whole,
      id: 'feed-to-earth-suppressor-off',
      label: 'Feed wire to earth, suppression capacitor unplugged',
      set: 'As before, and the suppression capacitor’s wire off.',
      watch: 'The short gone with it: the capacitor held it. Still there: the wire.',
      state: { ...whole.state, unplugged: [...whole.state.unplugged!, 'suppressor'] },
      minutes: 1.5,
    },
  ];
};
