import { addHours, parseISO } from 'date-fns';
import type { Complaint, JobEvent, Reading } from '../schema/job.ts';
import type { Model } from '../tracing/model.ts';
import { sheetOf } from '../setup/sheets.ts';
import { TRY_IT, type Check } from '../trails/checks.ts';
import { hasStood, toldRunning, wasHot, type Warm } from './heat.ts';

/** In which condition a proof counts: that in which it was complained of. */
export interface Wanted {
  readonly warmth: 'hot' | 'cold' | null;
  readonly under: NonNullable<Reading['under']> | null;
  /** It must have stood for so long since it last ran. Hours. */
  readonly restHours: number;
}
const ANY: Wanted = { warmth: null, under: null, restHours: 0 };

/** An engine that stood for less is still warm inside; by judgement. */
export const COLD_HOURS = 6;

function triedIn(symptom: Complaint['symptom'], pattern: Complaint['pattern']): Wanted {
  if (pattern === 'hot') return { ...ANY, warmth: 'hot' };
  if (pattern === 'cold') return { ...ANY, warmth: 'cold', restHours: COLD_HOURS };
  if (pattern === 'damp') return { ...ANY, under: 'wet' };
  if (COLD.has(symptom)) return { ...ANY, warmth: 'cold', restHours: COLD_HOURS };
  if (PULLED.has(symptom)) return { ...ANY, under: 'load' };
  return pattern === 'now-and-then' || LASTS.has(symptom) ? { ...ANY, under: 'ten minutes' } : ANY;
}
/** What shows only from cold. */
const COLD: ReadonlySet<Complaint['symptom']> = new Set<Complaint['symptom']>(['hard-start', 'cold-runs']);
/** What shows only as it pulls, and what shows only after a while. */
const PULLED: ReadonlySet<Complaint['symptom']> = new Set<Complaint['symptom']>(['no-pull', 'misses', 'knocks']);
const LASTS: ReadonlySet<Complaint['symptom']> = new Set<Complaint['symptom']>(['stalls', 'dies']);

/** What the engine itself must be tried in, by what was complained of: a second symptom asks for its own trial. */
export function triesIn({ symptom, also, pattern }: Complaint): Wanted[] {
  const tries = [triedIn(symptom, pattern), ...(also === undefined ? [] : [triedIn(also, 'constant')])];
  const special = tries.filter((t) => t !== ANY);
  const each = special.length ? special : [ANY];
  return each.filter((t, k) => each.findIndex((o) => JSON.stringify(o) === JSON.stringify(t)) === k);
}

/** What one check must be read in: the engine as it was complained of, any other as warm as then. */
export const wantedOf = (check: Check, complaint: Complaint): Wanted[] =>
  check.id === TRY_IT ? triesIn(complaint) : [complaint.pattern === 'hot' ? { ...ANY, warmth: 'hot' } : ANY];

/** What is known of when it ran, and of when it was warm. */
export interface Known {
  readonly ran: readonly string[];
  readonly spells: readonly Warm[];
}

/** Whether a reading is known to have been taken as wanted. */
export function takenAs({ warmth, under, restHours }: Wanted, reading: Reading, { ran, spells }: Known): boolean {
  if (warmth !== null && reading.warmth !== warmth) return false;
  if (under !== null && reading.under !== under) return false;
  if (warmth === 'hot' && !wasHot(reading, spells)) return false;
  return restHours === 0 || hasStood(reading, restHours, ran);
}

/** When a reading that must wait can be taken at the soonest; undefined where it need not wait. */
export function soonest({ restHours }: Wanted, ran: readonly string[]): string | undefined {
  const last = [...ran].sort().at(-1);
  return restHours > 0 && last !== undefined ? addHours(parseISO(last), restHours).toISOString() : undefined;
}

const checksOf = ({ checks, beyond }: Model): ReadonlyMap<string, Check> =>
  new Map([...checks, ...beyond].map((c) => [c.id, c]));

/** Times at which the engine ran, by what was told and read: everything taken as it runs, and every try. */
export function ranAt(model: Model, events: readonly JobEvent[]): string[] {
  const checks = checksOf(model);
  return events.flatMap((e) => {
    const told = toldRunning(e);
    if (told) return [told.until];
    if (e.type !== 'reading') return [];
    const check = checks.get(e.reading.checkId);
    return e.reading.checkId === TRY_IT || check?.state.key === 'run' ? [e.reading.at] : [];
  });
}

export type Confirmation = 'water' | 'bypass';
export interface Confirm {
  readonly id: Confirmation;
  readonly done: boolean;
}

/** What no reading shows and somebody must see to: by the machine, and by what was done for a test. */
export function confirmations(model: Model, events: readonly JobEvent[]): Confirm[] {
  const { machine } = model;
  const checks = checksOf(model);
  const bypassed = events.some((e) => {
    if (e.type === 'fix') return e.fix.how === 'bypassed' && !e.fix.temporary;
    if (e.type !== 'reading') return false;
    const state = checks.get(e.reading.checkId)?.state;
    return (state?.clipped?.length ?? 0) > 0 || (e.reading.probe?.unplugged.length ?? 0) > 0;
  });
  const ids: Confirmation[] = [
    ...(machine.fit.marine ? (['water'] as const) : []),
    ...(bypassed ? (['bypass'] as const) : []),
  ];
  const confirmed = sheetOf(events, 'prove')?.confirmed ?? [];
  return ids.map((id) => ({ id, done: confirmed.includes(id) }));
}
