import { figuresAt } from '../../../machine/figures.ts';
import { idOf } from '../../../machine/numbered.ts';
import { KEY_OFF, type CheckMaker } from '../../../machine/check.ts';
import { logBetween } from '../../../machine/part.ts';
import type { Scene } from '../../../machine/scene.ts';
import { plugPicture } from '../../../engine/plugPicture.ts';

/** Fuel across a plug that has not fired: kilo-ohms fresh from the engine, a megohm when it has nearly dried. */
const WETTED = { fresh: 20e3, nearlyDry: 2e6 } as const;

/** Of plugs that did not fire, those on which fuel still stands when somebody measures. Judgement. */
const STILL_WET = 0.5;

/** Ohms over an insulator: its own leak, all plugs' together, and the fuel that a dead cylinder has left on it. */
function overInsulator(scene: Scene, cylinder: number): number {
  const set = figuresAt(scene.params, 'plugs');
  const own = 1 / (1 / figuresAt(scene.params, idOf('plug', cylinder)).shuntOhms + 1 / set.shuntOhms);
  // Of an engine that does not run at all each plug is as dry as it was left: only one unlike its fellows is meant.
  const isWet = STILL_WET * plugPicture(scene).wet[cylinder - 1]!;
  if (isWet <= set.wets) return own;
  return 1 / (1 / own + 1 / logBetween(WETTED.fresh, WETTED.nearlyDry, set.wets / isWet));
}

/** One for each cylinder: the lead comes off, the plug stays in. */
export const plugInsulation: CheckMaker = (machine) =>
  Array.from({ length: machine.fit.cylinders }, (_, i) => ({
    id: `plug-${i + 1}-ohms`,
    beside: { what: 'Plug insulators', n: i + 1 },
    station: 'plugs',
    label: `Plug ${i + 1} insulator, ohms`,
    set: 'Key off, lead off the plug.',
    touch: 'Red to the top of the plug, black to the engine block.',
    watch: 'Below about 1 MΩ it is fouled, or wetted by a cylinder that does not fire: dry it and read again.',
    instrument: 'ohmmeter',
    probe: { kind: 'figure', value: (scene) => overInsulator(scene, i + 1) },
    state: KEY_OFF,
    needs: ['plugs'],
    minutes: 0.7,
    opens: [],
    cautions: [],
  }));
