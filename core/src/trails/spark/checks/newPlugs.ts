import { lameCylinders } from '../../../engine/squeeze.ts';
import { howItRuns } from '../../../engine/howItRuns.ts';
import { CRANKING, crankOrFlick, type CheckMaker } from '../../../machine/check.ts';
import { idOf } from '../../../machine/numbered.ts';
import type { MachineState } from '../../../machine/part.ts';
import type { Machine } from '../../../machine/machine.ts';
import type { Scene } from '../../../machine/scene.ts';
import { ofSeveral } from '../../../machine/several.ts';
import { RUNNING } from '../../../machine/state.ts';

/** Somebody who tries it hears wrongly, or puts a plug in badly, once in so many. */
const MISTAKEN = 0.03;

const withGoodPlugs = ({ fit }: Machine, state: MachineState): MachineState => ({
  ...state,
  clipped: Array.from({ length: fit.cylinders }, (_, i) => idOf('plug', i + 1)),
});

/** Of what is wrong before, the share that a change puts right, where it makes nothing worse. */
const cured = (before: number, after: number): number => (before > 0 ? Math.max(0, 1 - after / before) : 0);

/** A few tries with other plugs, before anything is taken for granted: cheap, and it asks nobody to judge an old one. */
const newPlugs: CheckMaker = (machine) => {
  const several = machine.fit.cylinders > 1;
  const turned = (scene: Scene) => scene.see('turns', CRANKING);
  return [
    {
      id: 'new-plugs',
      station: 'plugs',
      label: several ? 'Start it with a set of good plugs' : 'Start it with a good plug',
      set: crankOrFlick(machine, `Fit ${several ? 'plugs' : 'a plug'} known to be good, gapped as the plate says`),
      touch: several ? 'Put each lead or coil back on its own plug.' : 'Put the lead back on.',
      watch: 'Listen whether it fires where it did not before.',
      instrument: 'eyes',
      probe: {
        kind: 'look',
        sees: (scene) => {
          const before = turned(scene) * (1 - howItRuns(scene, CRANKING).allDead);
          const after = turned(scene) * (1 - howItRuns(scene, withGoodPlugs(machine, CRANKING)).allDead);
          const now = (1 - before) * cured(1 - before, 1 - after);
          return { 'fired before too': before, 'fires now': now, 'no change': 1 - before - now };
        },
      },
      state: withGoodPlugs(machine, CRANKING),
      words: ['no change', 'fires now', 'fired before too'],
      minutes: 4 + 2 * machine.fit.cylinders,
      opens: ['plugs out'],
      cautions: ['high tension', 'fuel vapour'],
    },
  ];
};

/** What every mechanic does with one dead cylinder: its plug goes to a neighbour, and the neighbour's comes here. */
const exchangedPlug: CheckMaker = (machine) => {
  if (machine.fit.cylinders < 2) return [];
  return [
    {
      id: 'plug-exchanged',
      station: 'plugs',
      label: 'Dead cylinder’s plug swapped with its neighbour’s',
      set: 'Find the dead cylinder first. Stop the engine, swap the two plugs, start it again.',
      touch: 'Stop one cylinder after the other, as you did to find the dead one.',
      watch: 'See whether the miss goes with the plug or stays in its cylinder.',
      instrument: 'eyes',
      probe: {
        kind: 'look',
        sees: (scene) => {
          const before = lameCylinders(scene, RUNNING);
          const after = lameCylinders(scene, withGoodPlugs(machine, RUNNING));
          const { none, alone } = ofSeveral(before);
          const goes = alone.reduce((sum, only, k) => sum + only * cured(before[k]!, after[k]!), 0);
          const stays = alone.reduce((sum, only) => sum + only, 0) - goes;
          const known = 1 - MISTAKEN;
          return {
            'none misses': none,
            'goes with the plug': known * goes + MISTAKEN * stays,
            'stays in its cylinder': known * stays + MISTAKEN * goes,
            'several miss': Math.max(0, 1 - none - goes - stays),
          };
        },
      },
      state: withGoodPlugs(machine, RUNNING),
      words: ['none misses', 'goes with the plug', 'stays in its cylinder', 'several miss'],
      minutes: 8,
      opens: ['plugs out'],
      cautions: ['high tension', 'fuel vapour', 'rotating parts', 'exhaust gas'],
    },
  ];
};

export const otherPlugs: readonly CheckMaker[] = [newPlugs, exchangedPlug];
