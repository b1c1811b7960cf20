import type { Fit } from '../schema/fit.ts';
import type { FaultMode, PartInstance } from './part.ts';

/** Ways in which a kind of part fails; only the part of this id where one is meant. */
export interface FailsSo {
  readonly kind: string;
  readonly modes: readonly string[];
  readonly part?: string;
}
export const fails = (kind: string, ...modes: string[]): FailsSo => ({ kind, modes });

/** Why a part failed. A cause that is itself a fault of the model is judged by the same readings and checks. */
export interface CauseSpec {
  readonly id: string;
  readonly label: string;
  /** Faults that amount to this cause; of the same cylinder, where both have one. */
  readonly faults: readonly FailsSo[];
  /** What to do to see, where no check of the model answers. */
  readonly look: string;
  /** Machines on which it can be; every one where it is left out. */
  readonly where?: (fit: Fit) => boolean;
  /** How often it is this, against the others and plain age. Judgement. */
  readonly weight: number;
}

/** A cause that no part of the model stands for: it is looked for. */
export const lookedFor = (id: string, label: string, look: string, weight: number): CauseSpec => ({
  id,
  label,
  faults: [],
  look,
  weight,
});

/** What may lie behind some ways of failing. */
export interface Failing {
  readonly of: readonly FailsSo[];
  readonly causes: readonly CauseSpec[];
}

/** A fault of a machine: which part, failed how. */
export interface Failed {
  readonly part: PartInstance;
  readonly mode: FaultMode;
}

/** Plain age and wear: always possible, never looked for. */
export const AGE_WEIGHT = 4;

const isOne = ({ kind, modes, part }: FailsSo, failed: Failed): boolean =>
  failed.part.kind.kind === kind &&
  modes.includes(failed.mode.family ?? failed.mode.id) &&
  (part === undefined || part === failed.part.id);
const cylinderOf = ({ part, mode }: Failed) => mode.cylinder ?? part.cylinder;

/** What may lie behind a fault of such a machine: of all that name it. */
export const causesOf = (all: readonly Failing[], failed: Failed, fit: Fit): readonly CauseSpec[] =>
  all
    .filter(({ of }) => of.some((f) => isOne(f, failed)))
    .flatMap(({ causes }) => causes.filter(({ where }) => where?.(fit) ?? true));

/** Whether a fault is one that a cause names; `of` is the fault whose cause is sought. */
export function names(cause: CauseSpec, candidate: Failed, of: Failed): boolean {
  const [own, other] = [cylinderOf(of), cylinderOf(candidate)];
  return (own === undefined || other === undefined || own === other) && cause.faults.some((f) => isOne(f, candidate));
}
