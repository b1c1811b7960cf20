import { runsHow, type Check } from '../trails/checks.ts';
import { INSTRUMENTS, untouched } from '../instruments/index.ts';
import { Scene } from '../machine/scene.ts';
import { normal, type Random } from '../random/lcg.ts';
import type { ReadingValue } from '../schema/job.ts';
import type { Complaint } from '../schema/job.ts';
import { complaintLikelihood } from '../engine/complaint.ts';
import { SEES_AGAIN } from '../tracing/repeated.ts';
import { drawSound, withFault } from '../tracing/draw.ts';
import { CAREFUL, HANDS, misses, mistoldShare, type Hands } from '../tracing/likelihood.ts';
import type { Model, ModelFault } from '../tracing/model.ts';
import { wellWord } from '../tracing/wellWord.ts';

/** What a meter shows below nothing as well. */
const SIGNED = ['voltage', 'current', 'pressure', 'angle'] as const;

/** How often a reading is something else altogether; told apart as in `Hands`. */
export type Slips = Pick<Hands, 'misprobe' | 'mistold' | 'misread'>;

/** Somebody's hands, as belief expects them: most are careful, a few clumsy. */
export function someHands(random: Random): Slips {
  let left = random();
  return HANDS.find(({ share }) => (left -= share) < 0) ?? CAREFUL;
}

interface HiddenOptions extends Partial<Slips> {
  readonly stretch?: number;
  /** What the same eyes have seen of it before, by check. */
  readonly saw?: ReadonlyMap<string, string>;
  /** Eyes that see what is plain to see: a word that is likelier than not is the one that is told. */
  readonly keen?: boolean;
  /** Faults that are not there (any more, or just now). */
  readonly without?: (fault: ModelFault) => boolean;
}

/** A machine with hidden faults, played by the same model: its figures are drawn, and nobody is told them. */
export class HiddenMachine {
  private readonly model: Model;
  private readonly scene: Scene;
  private readonly random: Random;
  private readonly slips: Slips;
  /** What was seen before: the same eye sees it so again. */
  private readonly saw: Map<string, string>;
  private readonly keen: boolean;

  constructor(model: Model, faults: readonly ModelFault[], random: Random, options: HiddenOptions = {}) {
    this.model = model;
    const sound = drawSound(model, random, options.stretch ?? 1);
    const failed = faults.reduce((p, f) => {
      // Its severity is drawn all the same: what is put right leaves the others as they are.
      const severity = random();
      return options.without?.(f) ? p : withFault(model, p, f, severity);
    }, sound);
    this.scene = new Scene(model.machine, failed);
    this.random = random;
    const { misprobe = 0, mistold = misprobe, misread = misprobe } = options;
    this.slips = { misprobe, mistold, misread };
    this.saw = new Map(options.saw);
    this.keen = options.keen ?? false;
  }

  /** How likely this very machine is to come in with a complaint, 0…1: another with the same fault may run. */
  brings(complaint: Complaint): number {
    return complaintLikelihood(this.scene, complaint);
  }

  /** Chances of how it starts and runs when it is tried. */
  runs(): Readonly<Record<string, number>> {
    return runsHow(this.scene);
  }
  /** Chance that it runs even, 0…1. */
  runsEven(): number {
    return this.runs()['runs even']!;
  }

  /** What the instrument shows this time, its own error included; `random` is the luck of this reading. */
  read(check: Check, random: Random = this.random): ReadingValue {
    const instrument = INSTRUMENTS[check.instrument];
    const outcome = instrument.observe(this.scene, check);
    const stray = random() < misses(check, this.slips);
    if (outcome.kind === 'category') {
      const words = Object.keys(outcome.shares);
      if (stray) return { kind: 'word', word: mistold(words, wellWord(this.model, check), random) };
      const before = this.saw.get(check.id);
      const word = before !== undefined && random() < SEES_AGAIN ? before : this.seen(outcome.shares, random);
      this.saw.set(check.id, word);
      return { kind: 'word', word };
    }
    // Without leads it is misread.
    if (stray) return untouched(instrument) ?? { kind: 'number', value: 2 * random() * outcome.value };
    const shown = outcome.value + instrument.error(outcome.value) * normal(random);
    if (shown > (instrument.limit ?? Infinity)) return { kind: 'open' };
    const signed = SIGNED.some((d) => d === instrument.dimension);
    return { kind: 'number', value: signed ? shown : Math.max(0, shown) };
  }

  private seen(shares: Readonly<Record<string, number>>, random: Random): string {
    const plain = this.keen ? Object.keys(shares).find((word) => shares[word]! > PLAIN_FROM) : undefined;
    return plain ?? drawn(shares, random);
  }
}
const PLAIN_FROM = 0.5;

/** A look that is told wrongly; `well` is what a sound machine shows. */
function mistold(words: readonly string[], well: string | undefined, random: Random): string {
  return drawn(Object.fromEntries(words.map((w) => [w, mistoldShare(words.length, w, well)])), random);
}

function drawn(shares: Readonly<Record<string, number>>, random: Random): string {
  const words = Object.keys(shares);
  let left = random();
  return words.find((word) => (left -= shares[word]!) < 0) ?? words[words.length - 1]!;
}
