import { figuresAt, figuresIfAny, type PartId } from '../../machine/figures.ts';
import { outsideOf } from '../../engine/altitude.ts';
import { pressed, SHUT_BEFORE, type Pressed } from '../../engine/compressing.ts';
import { idleHole } from '../../engine/manifold.ts';
import { idleRpm } from '../../engine/speeds.ts';
import type { Known, MachineParams } from '../../machine/known.ts';
import { idOf } from '../../machine/numbered.ts';
import type { Offers } from '../../machine/observed.ts';
import { CRANKING } from '../../machine/state.ts';
import { logistic } from '../../random/lcg.ts';
import type { Fit } from '../../schema/fit.ts';
import { BORES, CHAMBERS, CRANKCASE, GASKET, PORT, REEDS } from './ids.ts';

export const RINGS = 'compression-rings';
export const EXHAUST = 'compression-exhaust';
export const INTAKE = 'compression-intake';

/** What a part lets by; one that an engine of this kind has not got lets nothing by. */
const lets = (p: MachineParams, id: PartId & `compression-${string}`): number => {
  const own = figuresIfAny(p, id);
  return own && 'leakSquareMetres' in own ? own.leakSquareMetres : 0;
};

/** A gasket's leak, where it is one of this cylinder: both sides of a pair; the one where it leaves to the water or outside. */
function gasketLeak(p: MachineParams, cylinder: number): number {
  const { pair, water, blows, leakSquareMetres } = figuresAt(p, GASKET);
  const out = water === cylinder || blows === cylinder;
  return out || (pair && (cylinder === pair || cylinder === pair + 1)) ? leakSquareMetres : 0;
}

/** Ways out of a cylinder, square metres each. */
export function waysOut(p: MachineParams, cylinder: number) {
  return {
    rings: lets(p, idOf(RINGS, cylinder)) + lets(p, BORES),
    exhaust: lets(p, idOf(EXHAUST, cylinder)) + (figuresIfAny(p, 'decompressor')?.leakSquareMetres ?? 0),
    intake: lets(p, idOf(INTAKE, cylinder)),
    gasket: gasketLeak(p, cylinder),
  };
}
export const leakOf = (p: MachineParams, cylinder: number): number =>
  Object.values(waysOut(p, cylinder)).reduce((a, b) => a + b, 0);

/** Its ratio as it was built; of an engine whose compression nobody told, its book’s. */
const ratioOf = (fit: Fit, p: MachineParams): number => figuresIfAny(p, BORES)?.ratio ?? fit.compressionRatio;

const cylinderOf = (fit: Fit, ratio: number) => ({
  litres: fit.litres / fit.cylinders,
  ratio,
  outside: outsideOf(fit),
  shutBefore: fit.compression?.kind === 'two-stroke' ? SHUT_BEFORE.two : SHUT_BEFORE.four,
});

/** A cylinder as the starter or the hand turns it, leaking through so much. */
function turned(scene: Known, squareMetres: number): Pressed {
  const { fit } = scene.machine;
  const own = cylinderOf(fit, ratioOf(fit, scene.params));
  return pressed({
    ...own,
    // A chain that lags shuts the inlet valves later.
    shutBefore: own.shutBefore - scene.see('valvesLate', CRANKING),
    rpm: Math.max(25, scene.see('crankingRpm', CRANKING)),
    squareMetres,
  });
}

/** What a gauge in a plug's hole shows after some turns, pascal. */
export const gaugeOf = (scene: Known, cylinder: number, wet = 1): number => {
  const out = waysOut(scene.params, cylinder);
  return turned(scene, out.rings * wet + out.exhaust + out.intake + out.gasket).pascals;
};
/** What this engine would show if nothing leaked and its valves shut in time; once a ratio, for every fault asks it. */
const tights = new WeakMap<Fit, Map<number, number>>();
function tight(fit: Fit, ratio: number): number {
  let ofFit = tights.get(fit);
  if (!ofFit) tights.set(fit, (ofFit = new Map<number, number>()));
  let known = ofFit.get(ratio);
  if (known === undefined)
    ofFit.set(ratio, (known = pressed({ ...cylinderOf(fit, ratio), rpm: 180, squareMetres: 0 }).pascals));
  return known;
}

/** The cylinder that leaks most: what a mechanic goes on with once the gauge has been round. */
export const worstOf = ({ machine: { fit }, params }: Known): number => {
  let worst = 1;
  for (let c = 2; c <= fit.cylinders; c++) if (leakOf(params, c) > leakOf(params, worst)) worst = c;
  return worst;
};

/** Fuel over air at idle where a crankcase draws beside its carburettor half of the time. */
const leaned = (fit: Fit, p: MachineParams): number =>
  1 / (1 + (0.5 * lets(p, CRANKCASE)) / idleHole(fit.litres, idleRpm(fit)));

/** From so much carbon on it glows. */
const GLOWS_FROM = 0.8;

export const compressionOffers: Offers = {
  glows: ({ params }) => logistic(((figuresIfAny(params, CHAMBERS)?.carbon ?? 0) - GLOWS_FROM) / 0.06),
  compression: (scene, _state, { cylinder }) =>
    gaugeOf(scene, cylinder) / tight(scene.machine.fit, ratioOf(scene.machine.fit, scene.params)),
  steams: ({ params }) => ((figuresIfAny(params, GASKET)?.water ?? 0) > 0.5 ? 0.9 : 0),
  oil: (scene, _state, { cylinder }) =>
    Math.max(...([idOf(RINGS, cylinder), BORES] as const).map((id) => figuresAt(scene.params, id).oil ?? 0)),
};
/** Besides, of two strokes. */
export const twoStrokeOffers: Offers = {
  ...compressionOffers,
  richness: (scene, state) => {
    const weak = leaned(scene.machine.fit, scene.params);
    return state.key === 'run' && state.speed === 'fast' ? 0.8 + 0.2 * weak : weak;
  },
  breathes: ({ params }) =>
    (figuresIfAny(params, REEDS)?.share ?? 1) * Math.min(1, figuresAt(params, PORT).share * 1.6),
};
