import type { Check } from '../trails/checks.ts';
import type { Tracer } from '../tracing/trace.ts';

/** A word that a check offers though hardly anything makes it be said, and by what it is said most. */
export interface Unsaid {
  readonly checkId: string;
  readonly word: string;
  readonly most: number;
}

/** A word is worth its button from this chance on, of the sound machine or of some one fault in its worst degree. */
const SAID_FROM = 0.05;

function saidMost(tracer: Tracer, check: Check): ReadonlyMap<string, number> {
  const most = new Map<string, number>();
  for (const faults of [[], ...tracer.model.faults.map((f) => [f])]) {
    const predicted = tracer.weigher.ensemble(faults).predict(check);
    if (predicted.kind !== 'word') continue;
    for (const shares of predicted.shares)
      for (const [word, share] of Object.entries(shares)) most.set(word, Math.max(most.get(word) ?? 0, share));
  }
  return most;
}

/** Every word of every check that nothing of this machine says. */
export function unsaidOf(tracer: Tracer): Unsaid[] {
  return tracer.model.checks.flatMap((check) => {
    if (!check.words) return [];
    const most = saidMost(tracer, check);
    return check.words
      .map((word) => ({ checkId: check.id, word, most: most.get(word) ?? 0 }))
      .filter((u) => u.most < SAID_FROM);
  });
}
