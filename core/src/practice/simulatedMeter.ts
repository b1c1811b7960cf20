import type { Check } from '../trails/checks.ts';
import { INSTRUMENTS, untouched } from '../instruments/index.ts';
import { formatQuantity } from '../quantity/index.ts';
import { normal, type Random } from '../random/lcg.ts';
import type { ReadingValue } from '../schema/job.ts';
import type { Model, ModelFault } from '../tracing/model.ts';
import type { HiddenMachine } from './hiddenMachine.ts';

/** Seconds from when the probes are picked up until they touch, and from then until the display is still. */
/** Without leads there is nothing to show before it is read. */
const NOTHING_YET = { kind: 'number', value: 0 } as const;
const REACHING = 0.9;
const SETTLING = 0.6;

/** What a meter's display shows at one moment. */
export interface Shown {
  readonly text: string;
  readonly value: ReadingValue;
  /** Still enough to be read. */
  readonly steady: boolean;
}

/** One fault of a machine, drawn by how often each happens. */
export function drawFault(model: Model, random: Random): ModelFault {
  let left = random() * model.faults.reduce((sum, f) => sum + f.weight, 0);
  return model.faults.find((f) => (left -= f.weight) < 0) ?? model.faults[model.faults.length - 1]!;
}

/** One fault of a whole machine: first the trail, as often as it lets engines down, then one of its own. */
export function drawFaultAcross(model: Model, random: Random): ModelFault {
  const told = model.machine.trails.map((t) => t.id);
  let left = random() * told.reduce((sum, t) => sum + model.trailShares[t], 0);
  const trail = told.find((t) => (left -= model.trailShares[t]) < 0) ?? told[0]!;
  const own = model.faults.filter((f) => f.trail === trail);
  let share = random() * own.reduce((sum, f) => sum + f.weight, 0);
  return own.find((f) => (share -= f.weight) < 0) ?? own[own.length - 1]!;
}

/**
 * A stand-in for a meter with a link to the shop: the display of one check on a hidden machine, moment by moment.
 * First nothing, while the probes are on their way; then it runs up and stands, its last digit moving.
 */
export class SimulatedMeter {
  private readonly check: Check;
  private readonly value: ReadingValue;
  private readonly random: Random;

  constructor(hidden: HiddenMachine, check: Check, random: Random) {
    this.check = check;
    this.value = hidden.read(check);
    this.random = random;
  }

  /** `seconds` since the probes were picked up. */
  at(seconds: number): Shown {
    const instrument = INSTRUMENTS[this.check.instrument];
    const { dimension } = instrument;
    if (dimension === undefined || this.value.kind === 'word') {
      const steady = seconds > REACHING + SETTLING;
      const word = this.value.kind === 'word' ? this.value.word : '';
      return { text: steady ? word : '…', value: this.value, steady };
    }
    if (seconds < REACHING) {
      const value = untouched(instrument) ?? NOTHING_YET;
      return { text: value.kind === 'number' ? formatQuantity(value.value, dimension) : 'OL', value, steady: false };
    }
    if (this.value.kind === 'open') return { text: 'OL', value: this.value, steady: true };
    const run = 1 - Math.exp(-(seconds - REACHING) / (SETTLING / 7));
    const digit = 1 + 0.002 * normal(this.random);
    const value = this.value.value * run * digit;
    return {
      text: formatQuantity(value, dimension),
      value: { kind: 'number', value },
      steady: seconds > REACHING + SETTLING,
    };
  }
}
