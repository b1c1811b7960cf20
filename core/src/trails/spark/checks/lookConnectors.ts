import { figuresAt } from '../../../machine/figures.ts';
import { hasPart, KEY_OFF, type CheckMaker } from '../../../machine/check.ts';
import { seen } from '../../../machine/seen.ts';

const LINES = [
  ['connector', 'charge coil’s'],
  ['trigger-connector', 'trigger’s'],
] as const;

export const lookConnectors: CheckMaker = (machine) => {
  const lines = LINES.filter(([part]) => hasPart(machine, part));
  if (lines.length === 0) return [];
  return [
    {
      id: 'look-connectors',
      station: lines[0]![0],
      label: 'Connectors of the ignition, apart',
      set: 'Engine still, connectors apart one after the other.',
      touch: 'Look into both halves; pull at every wire.',
      watch: 'Green, black or wet pins; a pin pushed back; a wire that comes out.',
      instrument: 'eyes',
      probe: {
        kind: 'look',
        sees: (scene) => {
          const shares: Record<string, number> = {};
          let sound = 1;
          for (const [part, what] of lines) {
            const bad = seen(figuresAt(scene.params, part).ohms > 100, 0.85);
            shares[`${what} is bad`] = bad * sound;
            sound *= 1 - bad;
          }
          return { ...shares, 'all clean': sound };
        },
      },
      state: KEY_OFF,
      words: ['all clean', ...lines.map(([, what]) => `${what} is bad`)],
      needs: lines.map(([part]) => part),
      minutes: 1,
      opens: ['connectors apart'],
      cautions: [],
      look: true,
    },
  ];
};
