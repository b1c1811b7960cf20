import { CRANKING, KEY_ON_OPEN, touch, type Check, type CheckMaker } from '../../../machine/check.ts';

/** Key on, and again cranking, when a feed taken from the wrong place sags. */
export const moduleFeedVolts: CheckMaker = (machine) => {
  const common: Pick<Check, 'station' | 'touch' | 'instrument' | 'probe' | 'needs'> = {
    station: 'module-feed',
    touch: touch(machine, 'module+', 'block'),
    instrument: 'voltmeter',
    probe: { kind: 'across', live: 'module+', earth: 'block' },
    needs: ['module'],
  };
  return [
    {
      ...common,
      id: 'module-feed-on',
      label: 'Feed of the module, key on',
      set: 'Key on, engine still.',
      watch: 'As much as the battery has, or the coil’s feed where it is taken from there.',
      state: KEY_ON_OPEN,
      minutes: 1.2,
      opens: [],
      cautions: [],
    },
    {
      ...common,
      id: 'module-feed-cranking',
      label: 'Feed of the module, cranking',
      set: 'Crank, gearbox out of gear.',
      watch: 'As good as at the battery in the same moment. Gone while cranking: the switch, or its wire.',
      state: CRANKING,
      minutes: 1.4,
      opens: [],
      cautions: ['rotating parts'],
    },
  ];
};
