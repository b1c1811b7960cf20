import { figuresAt } from '../../../machine/figures.ts';
import { plugPicture } from '../../../engine/plugPicture.ts';
import { KEY_OFF, type CheckMaker } from '../../../machine/check.ts';
import { idOf } from '../../../machine/numbered.ts';
import { ofSeveral } from '../../../machine/several.ts';
import type { Scene } from '../../../machine/scene.ts';
import { BRIDGED_OHMS } from '../parts/highTension.ts';
import { allPlugs, onlyPlug, plugWords, SOME_WET } from '../plugWords.ts';

/** A plug that leaks less than this is seen to be fouled, ohms; a gap from which it is seen to be wide, metres. */
const FOULED_OHMS = 1e6;
const WIDE_METRES = 1.3e-3;
const WIDER_METRES = 0.6e-3;
/** And one that is seen to be narrow. */
const NARROW_METRES = 0.38e-3;
/** A crack that lets the spark out under so many volts is seen. */
const CRACKED_VOLTS = 15e3;
/** Of sets that are too hot, those whose noses tell of it. */
const GLOWED = 0.75;
/** Keenness for one plug among many; false alarms are spread over all of them. */
const SEEN_ALONE = 0.93;
const MISTAKEN = 0.001;
/** Nobody tells of a crack or a bridge of carbon that is not there. */
const NOT_THERE = 1e-4;

/** What is seen of one plug each, of several. */
const onEach = (look: Parameters<typeof onlyPlug>[1], each: readonly number[]): Record<string, number> =>
  Object.fromEntries(each.map((share, i) => [onlyPlug(i + 1, look), share]));

/** One look gives one word: what strikes first goes first, and of several that strike alike only one is told. */
function wordByWord() {
  let left = 1;
  const shares: Record<string, number> = {};
  const strikes = (seen: Readonly<Record<string, number>>): void => {
    const all = Object.values(seen).reduce((a, b) => a + b, 0);
    const told = left / Math.max(1, all);
    for (const [word, share] of Object.entries(seen)) shares[word] = (shares[word] ?? 0) + told * share;
    left = Math.max(0, left - told * all);
  };
  return { shares, strikes };
}

/** Chances of the words: what is wrong with the plugs themselves, and what the engine has done to them. */
function seesPlugs(scene: Scene): Record<string, number> {
  const { cylinders } = scene.machine.fit;
  const one = cylinders === 1;
  const set = figuresAt(scene.params, 'plugs');
  const own = Array.from({ length: cylinders }, (_, i) => figuresAt(scene.params, idOf('plug', i + 1)));
  const done = plugPicture(scene);
  const fouled = own.map((p) => (p.shuntOhms < FOULED_OHMS && p.shuntOhms >= BRIDGED_OHMS ? SEEN_ALONE : MISTAKEN));
  const wet = ofSeveral(done.wet.map((v, i) => 1 - (1 - v) * (1 - fouled[i]!)));
  const white = ofSeveral(done.white.map((v, i) => Math.max(v + MISTAKEN, GLOWED * Number((own[i]!.tooHot ?? 0) > 0))));
  const oily = ofSeveral(done.oily.map((v) => v + MISTAKEN));
  const narrow = own.map((p) => (p.gapMetres < NARROW_METRES ? SEEN_ALONE : MISTAKEN));
  const narrower = own.every((p) => p.gapMetres + set.extraGap < NARROW_METRES) ? 0.9 : 0.01;
  const wide = own.map((p) => (p.gapMetres > WIDE_METRES ? SEEN_ALONE : MISTAKEN));
  const foul = set.shuntOhms < FOULED_OHMS || (set.tooCold ?? 0) > 0 ? 0.97 : 0.015;
  const drowned = 1 - (1 - done.allWet) * (1 - foul);
  const { shares, strikes } = wordByWord();
  for (const look of ['bridged', 'cracked'] as const) {
    const is = (p: (typeof own)[number]) =>
      look === 'bridged' ? p.shuntOhms < BRIDGED_OHMS : (p.flashVolts ?? Infinity) < CRACKED_VOLTS;
    const seen = own.map((p) => (is(p) ? SEEN_ALONE : NOT_THERE));
    strikes(one ? { [allPlugs(look)]: seen[0]! } : onEach(look, seen));
  }
  strikes({ [allPlugs('oily')]: oily.all, ...(one ? {} : onEach('oily', oily.alone)) });
  strikes(one ? { [allPlugs('wide gap')]: wide[0]! } : onEach('wide gap', wide));
  strikes(
    one
      ? { [allPlugs('narrow gap')]: narrow[0]! }
      : { [allPlugs('narrow gap')]: narrower, ...onEach('narrow gap', narrow) },
  );
  strikes({ [allPlugs('wet or sooty')]: drowned });
  const someWet = 1 - wet.none - wet.all - wet.alone.reduce((a, b) => a + b, 0);
  strikes({
    [allPlugs('wet or sooty')]: wet.all,
    ...(one ? {} : onEach('wet or sooty', wet.alone)),
    ...(cylinders > 2 ? { [SOME_WET]: Math.max(0, someWet) } : {}),
  });
  strikes({ [allPlugs('wide gap')]: set.extraGap > WIDER_METRES ? 0.95 : 0.015 });
  strikes({
    [allPlugs('white')]: Math.max(done.allWhite + 0.01, GLOWED * Number((set.tooHot ?? 0) > 0)),
    ...(one ? {} : onEach('white', white.alone)),
  });
  strikes({ [allPlugs('dry')]: 1 });
  return shares;
}

export const lookPlugs: CheckMaker = (machine) => [
  {
    id: 'look-plugs',
    station: 'plugs',
    label: 'Plugs, side by side',
    set: 'Plugs out, laid in order, as they came from the engine.',
    touch: 'Look at the noses and smell them.',
    watch:
      'Wet or sooty may be what the engine does to them: one that never fires wets its plug. Oily: from below. White: weak or early.',
    instrument: 'eyes',
    probe: { kind: 'look', sees: seesPlugs },
    state: KEY_OFF,
    words: plugWords(machine.fit.cylinders),
    plugs: machine.fit.cylinders,
    needs: ['plugs'],
    minutes: 1,
    opens: ['plugs out'],
    cautions: ['fuel vapour', 'hot coil'],
  },
];
