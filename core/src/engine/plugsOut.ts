import { plainness } from '../machine/seen.ts';
import { looking, type CheckMaker } from '../machine/check.ts';
import { figuresIfAny } from '../machine/figures.ts';
import { isDiesel } from '../machine/hazards.ts';
import type { Scene } from '../machine/scene.ts';
import { CRANKING, KEY_OFF } from '../machine/state.ts';

export const PLUGS_OUT = 'plugs-out-by-hand';
/** The crank trail's own, plugs in. */
export const BY_HAND = 'crank-by-hand';
export const HAND_WORDS = [
  'turns freely, dry',
  'water comes out',
  'fuel comes out',
  'turns hard, or not at all',
] as const;
export type HandWord = (typeof HAND_WORDS)[number];

/** Of cylinders that were locked by what stood in them, those that held water. Judgement. */
const WATER = 0.62;
/** How plainly it is seen. */
const SEEN = 0.95;

/** What holds an engine comes out of its plug holes, or holds it still. */
function sees(scene: Scene): Readonly<Record<HandWord, number>> {
  const engine = figuresIfAny(scene.params, 'engine');
  const locked = (engine?.locked ?? 0) > 0.5 ? 1 : 0;
  const drowns = scene.see('drowns', CRANKING);
  const steams = scene.see('steams', CRANKING);
  const byFuel = locked * Math.max(1 - WATER, drowns);
  const water = SEEN * (locked - byFuel + (1 - locked) * 0.4 * steams);
  const fuel = SEEN * (byFuel + (1 - locked) * 0.7 * drowns);
  const jammed = (figuresIfAny(scene.params, 'starter-drive')?.jammed ?? 0) > 0;
  const hard =
    (1 - locked) *
    (jammed
      ? 0.92
      : Math.max(0.92 * plainness(engine?.stiff ?? 0, 0.1, 0.6), 0.3 * plainness(engine?.thick ?? 0, 0.1, 0.6)));
  const rest = Math.max(0, 1 - water - fuel - hard);
  return {
    'turns freely, dry': 0.97 * rest,
    'water comes out': water + 0.01 * rest,
    'fuel comes out': fuel + 0.01 * rest,
    'turns hard, or not at all': hard + 0.01 * rest,
  };
}

/** Before the starter is let at an engine that may be drowned or held. */
export const plugsOut: CheckMaker = (machine) => {
  const { fit, partById } = machine;
  const diesel = isDiesel(fit);
  const [held, fuelled, cooled] = [
    partById.has('engine'),
    fit.fuel !== undefined,
    fit.compression?.cooling === 'water',
  ];
  // What nobody has told of this machine cannot come out of it.
  const may: Readonly<Record<HandWord, boolean>> = {
    'turns freely, dry': true,
    'water comes out': held || cooled,
    'fuel comes out': held || fuelled,
    'turns hard, or not at all': held,
  };
  if (!held && !fuelled && !cooled) return [];
  return [
    looking(
      {
        id: PLUGS_OUT,
        does: ['turned by hand', 'turns what may be held', 'touches what is hot'],
        station: diesel ? 'engine' : 'plugs',
        label: `${diesel ? 'Heater plugs or injectors' : 'All plugs'} out, engine turned by hand: does water or fuel come out?`,
        set: `Battery earth off, out of gear, ${diesel ? 'heater plugs or injectors' : 'every plug'} out; a rag over the holes, face clear of them.`,
        touch: 'Turn it two whole turns by hand, never by the starter.',
        watch: 'It turns freely and the rag stays dry. Water or fuel on the rag: drain it before it is turned again.',
        words: HAND_WORDS.filter((w) => may[w]),
        state: KEY_OFF,
        minutes: 2,
        opens: ['plugs out'],
        cautions: diesel ? [] : ['fuel vapour'],
      },
      (scene) => {
        const shares = sees(scene);
        const left = HAND_WORDS.filter((w) => !may[w]).reduce((sum, w) => sum + shares[w], 0);
        const told = HAND_WORDS.filter((w) => may[w]).map((w): [string, number] => [w, shares[w]]);
        return { ...Object.fromEntries(told), 'turns freely, dry': shares['turns freely, dry'] + left };
      },
    ),
  ];
};
