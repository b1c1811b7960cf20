import { KEY_OFF, touch, type CheckMaker } from '../../../machine/check.ts';

/** A switched supply is checked both ways: there with the key on, and gone with it off. */
export const supplyGone: CheckMaker = (machine) => {
  const nodes = new Set(machine.parts.flatMap((p) => Object.values(p.nodes)));
  const fed = ['coil+', 'module+', 'pack-in'].find((node) => nodes.has(node));
  if (!fed) return [];
  return [
    {
      id: 'supply-gone',
      station: 'switch',
      label: 'The feed, with the key off',
      set: 'Key off, all connected.',
      touch: touch(machine, fed, 'block'),
      watch: 'Nothing. What stays there with the key off cooks the coil and flattens the battery.',
      instrument: 'voltmeter',
      probe: { kind: 'across', live: fed, earth: 'block' },
      state: KEY_OFF,
      needs: ['switch'],
      minutes: 0.8,
      opens: [],
      cautions: [],
    },
  ];
};
