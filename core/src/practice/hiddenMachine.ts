import { runsHow, type Check } from '../trails/checks.ts';
import { INSTRUMENTS, untouched } from '../instruments/index.ts';
import { Scene } from '../machine/scene.ts';
import { normal, type Random } from '../random/lcg.ts';
import type { ReadingValue } from '../schema/job.ts';
import type { Complaint } from '../schema/job.ts';
import { complaintLikelihood } from '../engine/complaint.ts';
import { SEES_AGAIN } from '../tracing/repeated.ts';
import { drawSound, withFault } from '../tracing/draw.ts';
import { CAREFUL, HANDS, misses, type Hands } from '../tracing/likelihood.ts';
import type { Model, ModelFault } from '../tracing/model.ts';

/** What a meter shows below nothing as well. */
const SIGNED = ['voltage', 'current', 'pressure', 'angle'] as const;

/** How often a reading is something else altogether; told apart as in `Hands`. */
export type Slips = Pick<Hands, 'misprobe' | 'mistold' | 'misread'>;

/** Somebody's hands, as belief expects them: most are careful, a few clumsy. */
export function someHands(random: Random): Slips {
  let left = random();
  return HANDS.find(({ share }) => (left -= share) < 0) ?? CAREFUL;
}

/** A machine with hidden faults, played by the same model: its figures are drawn, and nobody is told them. */
export class HiddenMachine {
  private readonly scene: Scene;
  private readonly random: Random;
  private readonly slips: Slips;
  /** What was seen before: the same eye sees it so again. */
  private readonly saw = new Map<string, string>();

  constructor(
    model: Model,
    faults: readonly ModelFault[],
    random: Random,
    options: { stretch?: number } & Partial<Slips> = {},
  ) {
    const sound = drawSound(model, random, options.stretch ?? 1);
    const failed = faults.reduce((p, f) => withFault(model, p, f, random()), sound);
    this.scene = new Scene(model.machine, failed);
    this.random = random;
    const { misprobe = 0, mistold = misprobe, misread = misprobe } = options;
    this.slips = { misprobe, mistold, misread };
  }

  /** How likely this very machine is to come in with a complaint, 0…1: another with the same fault may run. */
  brings(complaint: Complaint): number {
    return complaintLikelihood(this.scene, complaint);
  }

  /** Chance that it starts and runs even when it is tried, 0…1. */
  runsEven(): number {
    return runsHow(this.scene)['runs even']!;
  }

  /** What the instrument shows this time, its own error included. */
  read(check: Check): ReadingValue {
    const instrument = INSTRUMENTS[check.instrument];
    const outcome = instrument.observe(this.scene, check);
    const stray = this.random() < misses(check, this.slips);
    if (outcome.kind === 'category') {
      const words = Object.keys(outcome.shares);
      if (stray) return { kind: 'word', word: words[Math.floor(this.random() * words.length)]! };
      const before = this.saw.get(check.id);
      const word = before !== undefined && this.random() < SEES_AGAIN ? before : this.drawn(outcome.shares);
      this.saw.set(check.id, word);
      return { kind: 'word', word };
    }
    // Without leads it is misread.
    if (stray) return untouched(instrument) ?? { kind: 'number', value: 2 * this.random() * outcome.value };
    const shown = outcome.value + instrument.error(outcome.value) * normal(this.random);
    if (shown > (instrument.limit ?? Infinity)) return { kind: 'open' };
    const signed = SIGNED.some((d) => d === instrument.dimension);
    return { kind: 'number', value: signed ? shown : Math.max(0, shown) };
  }

  private drawn(shares: Readonly<Record<string, number>>): string {
    const words = Object.keys(shares);
    let left = this.random();
    return words.find((word) => (left -= shares[word]!) < 0) ?? words[words.length - 1]!;
  }
}
