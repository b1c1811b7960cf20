import { slowedBy, topRpm } from '../../../engine/speeds.ts';
import { between, type FaultMode, type PartKind, type PlateSpec } from '../../../machine/part.ts';

const angle = <Id extends string>(id: Id, label: string, low: number, high: number, hidden = false): PlateSpec<Id> => ({
  id,
  label,
  dimension: 'angle',
  typical: () => ({ low, high }),
  least: -60,
  most: 60,
  ...(hidden ? { hidden: true } : {}),
});
/** Of an engine's top speed: by then its weights are out. */
const OUT_BY = 0.9;
const speed = <Id extends string>(
  id: Id,
  label: string,
  twin: readonly [number, number],
  more: readonly [number, number],
): PlateSpec<Id> => ({
  id,
  label,
  dimension: 'speed',
  typical: (fit) => {
    const [low, high] = fit.cylinders <= 2 ? twin : more;
    // A slow engine's weights come sooner, and stand at their stop before its governor holds it.
    const sooner = Math.min(1 / slowedBy(fit), (OUT_BY * topRpm(fit)) / high);
    return { low: low * sooner, high: high * sooner };
  },
  reach: 4,
});
const nothing = <Id extends string>(id: Id, label: string): PlateSpec<Id> => angle(id, label, 0, 0, true);
const kind = <Has extends string, May extends string = never>(
  name: string,
  plates: readonly PlateSpec<Has>[],
  repairs: PartKind['repairs'],
  faults: readonly FaultMode<Has, May>[],
): PartKind<Has, May> => ({ kind: name, symbol: 'none', plates, repairs, faults, elements: () => [] });

/** The distributor in its hole: turned, or put in half a turn out. */
const body = kind<'baseDegrees' | 'turnedDegrees', 'half'>(
  'distributor body',
  [
    { ...angle('baseDegrees', 'Spark before top centre, idling, hose off', 6, 10), setAs: 'each' },
    nothing('turnedDegrees', 'Turned by'),
  ],
  [{ id: 'set', label: 'Set the timing, tighten the clamp', minutes: 20, money: 0 }],
  [
    {
      id: 'late',
      label: 'turned: the spark comes late',
      weight: 3,
      byHand: true,
      repair: 'set',
      comesWith: 'shaking',
      apply: (p, s) => ({ ...p, turnedDegrees: between(-13, -30, s) }),
    },
    {
      id: 'early',
      label: 'turned: the spark comes early',
      weight: 2.5,
      byHand: true,
      repair: 'set',
      comesWith: 'shaking',
      apply: (p, s) => ({ ...p, turnedDegrees: between(11, 26, s) }),
    },
    {
      id: 'half',
      label: 'fitted half a turn out',
      weight: 1.2,
      byHand: true,
      repair: 'set',
      apply: (p) => ({ ...p, turnedDegrees: 180, half: 1 }),
    },
  ],
);
/** The mark on its pulley: a rubber ring that has slipped, and the engine set by it. */
const mark = kind<'slippedDegrees'>(
  'timing mark',
  [nothing('slippedDegrees', 'Slipped by')],
  [{ id: 'renew', label: 'Find top centre, mark it anew, set the timing by it', minutes: 60, money: 45 }],
  [],
);
const chain = kind<'lateDegrees', 'play' | 'jumped'>(
  'timing chain',
  [nothing('lateDegrees', 'Late by')],
  [{ id: 'renew', label: 'Renew the timing chain, or set the belt', minutes: 260, money: 95 }],
  [
    {
      id: 'worn',
      label: 'worn: the spark lags and wanders',
      weight: 1.2,
      repair: 'renew',
      apply: (p, s) => ({ ...p, lateDegrees: between(9, 16, s), play: 1 }),
    },
    {
      id: 'jumped',
      leap: true,
      // A tooth of a wheel of eighteen on the crank is 20°.
      label: 'a tooth out',
      weight: 0.8,
      repair: 'renew',
      comesWith: 'shaking',
      apply: (p, s) => ({ ...p, lateDegrees: between(17, 23, s), jumped: 1 }),
    },
  ],
);
const weights = kind<'maxDegrees' | 'startRpm' | 'fullRpm', 'seized' | 'slack' | 'sprung' | 'overDegrees'>(
  'advance weights',
  [
    angle('maxDegrees', 'Advance by the weights, at speed', 20, 26),
    // Nothing at idle, all of it by 2500–3500 rev/min (SOURCES, timing); small fast engines later.
    speed('startRpm', 'Engine speed at which the weights begin', [1500, 1900], [900, 1200]),
    speed('fullRpm', 'Engine speed at which they stand at their stop', [3900, 4400], [2500, 3200]),
  ],
  [
    { id: 'free', label: 'Free and oil the weights', minutes: 45, money: 2 },
    { id: 'springs', label: 'Renew the springs of the weights', minutes: 45, money: 9 },
    { id: 'stop', label: 'Renew the bush of the advance stop', minutes: 50, money: 6 },
  ],
  [
    {
      id: 'seized',
      from: { seized: 0 },
      label: 'seized: no advance',
      weight: 2.5,
      repair: 'free',
      apply: (p, s) => ({ ...p, seized: between(0.6, 1, s) }),
    },
    {
      id: 'springs',
      from: { slack: 0 },
      label: 'a spring gone or weak: all of the advance at idle',
      weight: 1.5,
      repair: 'springs',
      apply: (p, s) => ({ ...p, slack: between(0.55, 1, s), sprung: 1 }),
    },
    {
      id: 'stop',
      from: { overDegrees: 0 },
      label: 'their stop worn or lost: too much advance at speed',
      weight: 0.8,
      repair: 'stop',
      apply: (p, s) => ({ ...p, overDegrees: between(7, 16, s) }),
    },
  ],
);
const pod = kind<'maxDegrees' | 'holds', 'torn' | 'off'>(
  'vacuum advance',
  [
    angle('maxDegrees', 'Advance by vacuum', 10, 16),
    { id: 'holds', label: 'Whether it holds', dimension: 'ratio', typical: () => ({ low: 1, high: 1 }), hidden: true },
  ],
  [
    { id: 'renew', label: 'Renew the vacuum advance unit', minutes: 40, money: 38 },
    { id: 'hose', label: 'Renew its hose, put it on the right tap', minutes: 8, money: 3 },
  ],
  [
    {
      id: 'leaks',
      label: 'diaphragm leaks',
      weight: 2.5,
      repair: 'renew',
      apply: (p, s) => ({ ...p, holds: between(0.3, 0, s), torn: 1 }),
    },
    {
      id: 'hose',
      label: 'hose off or split',
      weight: 2,
      byHand: true,
      repair: 'hose',
      comesWith: 'shaking',
      apply: (p) => ({ ...p, holds: 0, off: 1 }),
    },
  ],
);
const map = kind<'maxDegrees' | 'works', 'sensorLost'>(
  'ignition map',
  [
    angle('maxDegrees', 'Advance by its map, at speed', 20, 28),
    {
      id: 'works',
      label: 'Whether it follows its map',
      dimension: 'ratio',
      typical: () => ({ low: 1, high: 1 }),
      hidden: true,
    },
  ],
  [
    { id: 'sensor', label: 'Renew its temperature or load sensor', minutes: 25, money: 30 },
    { id: 'renew', label: 'Renew the ignition computer', minutes: 30, money: 190 },
  ],
  [
    {
      id: 'limp',
      label: 'without a sensor signal, stays at one advance',
      weight: 2.5,
      repair: 'sensor',
      comesWith: 'shaking',
      apply: (p) => ({ ...p, works: 0, sensorLost: 1 }),
    },
    {
      id: 'lost',
      label: 'has lost its map',
      weight: 0.8,
      repair: 'renew',
      comesWith: 'heat',
      apply: (p, s) => ({ ...p, works: between(0.35, 0, s) }),
    },
  ],
);

/** Parts that only the timing trail has. */
export const TIMING_PARTS = { body, mark: { ...mark, faults: [slippedAndSet()] }, chain, weights, pod, map };

/** Set by a mark that lies, the light shows the book's figure and the engine does not have it. */
function slippedAndSet(): FaultMode {
  return {
    id: 'slipped',
    label: 'slipped, and the timing set by it',
    weight: 1,
    repair: 'renew',
    apply: (p, s) => ({ ...p, slippedDegrees: between(14, 28, s) }),
  };
}
