import type { Complaint, RecentWork } from '../schema/job.ts';
import type { Model, ModelFault } from './model.ts';

/** Judgement: how much likelier work makes what it can do wrong, against what wears by itself. */
const FACTORS = {
  /** Swapped, reversed, set wrong: what only hands do. */
  byHand: { new: 14, disturbed: 12, wired: 8 },
  /** The part itself: a new one may be bad or the wrong one, one that was moved may have suffered. */
  own: { new: 2.5, disturbed: 2, wired: 2 },
  /** What lies next to it is moved out of the way, and its joints with it. */
  beside: { new: 1.6, disturbed: 1.6, wired: 2 },
} as const;
/** Work fades: the longer it ran well since, the less it has to do with it. */
const FADES: Readonly<Record<RecentWork['ago'], number>> = { 'just before': 1, days: 0.7, weeks: 0.35 };

/** How near a station lies to another on the same trail, 0 the same, 1 next to it; Infinity on another. */
function distance(model: Model, one: string, other: string): number {
  if (one === other) return 0;
  for (const { stations } of model.machine.trails) {
    const [a, b] = [stations.findIndex((s) => s.id === one), stations.findIndex((s) => s.id === other)];
    if (a >= 0 && b >= 0) return Math.abs(a - b);
  }
  return Infinity;
}

/** By how much what was done just before makes a fault likelier than it is on a machine that nobody touched; ≥ 1. */
export function recentWeight(model: Model, { recent = [] }: Complaint, fault: ModelFault): number {
  let most = 1;
  for (const { station, what, ago } of recent) {
    const far = distance(model, station, fault.part.station);
    if (far > 1) continue;
    const full = fault.mode.byHand
      ? FACTORS.byHand[what] ** (far === 0 ? 1 : 0.5)
      : far === 0
        ? FACTORS.own[what]
        : FACTORS.beside[what];
    most = Math.max(most, full ** FADES[ago]);
  }
  return most;
}

const NEW_WORDS = /\b(new|renew|replac|fitt|chang|swap)/i;
const WIRED_WORDS = /\b(wir|radio|alarm|light|lamp|solder|crimp|relay)/i;
/** Short names are met in other words: "cap" in "capacity". */
const wordOf = (label: string): RegExp => new RegExp(`\\b${label.toLowerCase().replace(/s$/, '')}(s|es)?\\b`);

/** Stations of the machine that are named in what was written, and what seems to have been done there. */
export function recognised(stations: readonly { id: string; label: string }[], text: string): RecentWork[] {
  const lower = text.toLowerCase();
  // "Plug leads" are not plugs: the longest names are found first, and taken out.
  let left = lower;
  const found: RecentWork[] = [];
  for (const { id, label } of [...stations].sort((a, b) => b.label.length - a.label.length)) {
    const word = wordOf(label);
    if (!word.test(left)) continue;
    left = left.replace(word, ' ');
    const what = NEW_WORDS.test(lower) ? 'new' : WIRED_WORDS.test(lower) ? 'wired' : 'disturbed';
    found.push({ station: id, what, ago: 'just before' });
  }
  return found.sort(
    (a, b) => stations.findIndex((s) => s.id === a.station) - stations.findIndex((s) => s.id === b.station),
  );
}
