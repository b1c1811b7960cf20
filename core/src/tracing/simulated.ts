import type { Check } from '../trails/checks.ts';
import type { Ensemble } from './ensemble.ts';
import type { ModelFault } from './model.ts';
import type { Predicted } from './prediction.ts';
import type { Weigher } from './belief.ts';

/**
 * What has been simulated of a machine, as text that the network and the data file carry: whoever reads it need not
 * simulate that again, and predicts exactly the same.
 */

/** Not asked yet; as the sound machine; of two faults, as with the first or the second alone. */
const UNASKED = 0;
const AS = [1, 2, 3] as const;
type Kept<T> = typeof UNASKED | (typeof AS)[number] | T;

interface KeptNumbers {
  readonly at: readonly (number | null)[];
  readonly width: readonly number[];
  /** Left out where no member reads OL. */
  readonly open?: readonly number[];
  readonly loose: number;
}
interface KeptWords {
  readonly words: readonly string[];
  readonly shares: readonly (readonly number[])[];
  /** Which of the shares each member has. */
  readonly each: readonly number[];
}
interface Account {
  readonly faults: readonly string[];
  readonly says: readonly Kept<KeptNumbers | KeptWords>[];
  readonly figures: Readonly<Record<string, Kept<readonly number[]>>>;
}
interface Simulated {
  /** What it was simulated of: nothing else takes it over. */
  readonly of: string;
  readonly checks: readonly string[];
  readonly accounts: readonly Account[];
}

function keptOf(predicted: Predicted): KeptNumbers | KeptWords {
  if (predicted.kind === 'number') {
    const { at, width, open, loose } = predicted;
    return {
      at: [...at].map((u) => (Number.isNaN(u) ? null : u)),
      width: [...width],
      ...(open.some((p) => p !== 0) ? { open: [...open] } : {}),
      loose,
    };
  }
  const words = [...new Set(predicted.shares.flatMap((share) => Object.keys(share)))];
  const texts = predicted.shares.map((share) => JSON.stringify(words.map((w) => share[w] ?? 0)));
  const shares = [...new Set(texts)];
  return {
    words,
    shares: shares.map((text) => JSON.parse(text) as number[]),
    each: texts.map((text) => shares.indexOf(text)),
  };
}

function predictedOf(kept: KeptNumbers | KeptWords): Predicted {
  if ('each' in kept) {
    const shares = kept.shares.map((share) => Object.fromEntries(kept.words.map((w, k) => [w, share[k]!])));
    return { kind: 'word', shares: kept.each.map((k) => shares[k]!) };
  }
  const at = Float64Array.from(kept.at, (u) => u ?? NaN);
  const open = kept.open ? Float64Array.from(kept.open) : new Float64Array(at.length);
  return { kind: 'number', at, width: Float64Array.from(kept.width), open, loose: kept.loose };
}

/** Those whose answer an account may share, in the order of `AS`. */
const shared = (ensemble: Ensemble): readonly Ensemble[] =>
  ensemble.faults.length === 0 ? [] : [ensemble.sound, ...(ensemble.faults.length > 1 ? ensemble.simpler : [])];

function kept<T, K>(
  ensemble: Ensemble,
  own: T | undefined,
  of: (e: Ensemble) => T | undefined,
  keep: (own: T) => K,
): Kept<K> {
  if (own === undefined) return UNASKED;
  const like = shared(ensemble).findIndex((e) => of(e) === own);
  return like < 0 ? keep(own) : AS[like]!;
}

/** All that this weigher has simulated, as text; `of` names the machine and whatever else it rests on. */
export function simulatedText(weigher: Weigher, of: string): string {
  const checks = [...weigher.model.checks, ...weigher.model.beyond];
  const accounts = [...weigher.ensembles.values()].map((e): Account => ({
    faults: e.faults.map((f) => f.id),
    says: checks.map((c) => kept(e, e.predicted.get(c), (other) => other.predicted.get(c), keptOf)),
    figures: Object.fromEntries(
      [...e.figured].map(([key, own]) => [
        key,
        kept(
          e,
          own,
          (other) => other.figured.get(key),
          (v: Float64Array) => [...v],
        ),
      ]),
    ),
  }));
  return JSON.stringify({ of, checks: checks.map((c) => c.id), accounts } satisfies Simulated);
}

/** Takes over what was simulated elsewhere. False, and nothing taken, where it is of something else. */
export function recall(weigher: Weigher, text: string, of: string): boolean {
  const told = JSON.parse(text) as Simulated;
  if (told.of !== of) return false;
  const checks = told.checks.map((id) => weigher.check(id));
  const faults = new Map<string, ModelFault>(weigher.model.faults.map((f) => [f.id, f]));
  for (const account of told.accounts) {
    const ensemble = weigher.ensemble(account.faults.map((id) => faults.get(id)!));
    const like = shared(ensemble);
    const taken = <T, K>(said: Kept<K>, of: (e: Ensemble) => T | undefined, make: (own: K) => T): T | undefined =>
      said === UNASKED ? undefined : typeof said === 'number' ? of(like[said - 1]!) : make(said as K);
    account.says.forEach((said, k) => {
      const check: Check | undefined = checks[k];
      const found = check && taken(said, (e) => e.predicted.get(check), predictedOf);
      if (found) ensemble.predicted.set(check, found);
    });
    for (const [key, said] of Object.entries(account.figures)) {
      const found = taken(
        said,
        (e) => e.figured.get(key),
        (v: readonly number[]) => Float64Array.from(v),
      );
      if (found) ensemble.figured.set(key, found);
    }
  }
  return true;
}
