import { figuresAt } from '../../../machine/figures.ts';
import { plugPicture } from '../../../engine/plugPicture.ts';
import { idOf } from '../../../machine/numbered.ts';
import { KEY_OFF, looking, type CheckMaker } from '../../../machine/check.ts';
import { firstSeen, seen } from '../../../machine/seen.ts';
import { ofSeveral } from '../../../machine/several.ts';

/** A plug that leaks less than this carries soot that a finger takes off, ohms. */
const SOOTED_OHMS = 1e6;
/** Of plugs that carry soot or fuel, the share on which a finger tells which. */
const TOLD_APART = 0.9;
const any = (each: readonly number[]): number => 1 - ofSeveral(each).none;

/** What lies on the blackest plug: soot, fuel and oil look alike and come from three different places. */
export const plugDeposit: CheckMaker = (machine) => [
  looking(
    {
      id: 'plug-deposit',
      station: 'plugs',
      label: 'The blackest plug, wiped with a finger',
      set: 'Plugs out, laid in order.',
      touch: 'Wipe the nose of the one that looks worst; smell the finger.',
      watch:
        'Clean or brown: nothing. Dry soot: too rich, too cold a plug, a weak spark. Wet and smelling of fuel: it did not fire. Wet and greasy: oil.',
      state: KEY_OFF,
      words: ['clean or brown', 'dry soot', 'wet with fuel', 'wet with oil'],
      needs: ['plugs'],
      minutes: 0.4,
      opens: ['plugs out'],
      cautions: ['fuel vapour', 'hot coil'],
    },
    (scene) => {
      const done = plugPicture(scene);
      const { shuntOhms, wets, tooCold = 0 } = figuresAt(scene.params, 'plugs');
      const own = Array.from({ length: machine.fit.cylinders }, (_, i) => figuresAt(scene.params, idOf('plug', i + 1)));
      const fouled = own.some((p) => p.shuntOhms < SOOTED_OHMS) || shuntOhms < SOOTED_OHMS || tooCold > 0;
      const fuel = any([done.drowned, ...done.unlit, scene.see('drowns', KEY_OFF)]);
      const soot = any([done.black, seen(fouled, 0.95)]) * (1 - fuel * wets);
      return firstSeen(
        [
          ['wet with oil', TOLD_APART * any(done.oily)],
          ['wet with fuel', TOLD_APART * fuel],
          ['dry soot', TOLD_APART * soot],
        ],
        'clean or brown',
      );
    },
  ),
];
