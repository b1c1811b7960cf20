import { topFromStop } from '../engine/crankGeometry.ts';
import type { JobEvent } from '../schema/job.ts';
import type { Model } from './model.ts';

/**
 * How far after true top the timing mark stands, degrees (below zero before it), as each event finds it. A stop in the
 * plug hole told it: what was read before that was read against the same mark; a mark made anew is one with nothing off.
 */
export function markOffsets(events: readonly JobEvent[]): readonly number[] {
  const told = events.map((e) => {
    if (e.type !== 'sheet' || e.sheet.body.kind !== 'top') return undefined;
    const { before, after } = e.sheet.body;
    return Number.isFinite(before) && Number.isFinite(after) ? topFromStop(-before, after).markIsAt : undefined;
  });
  let now = told.find((off) => off !== undefined) ?? 0;
  return told.map((off) => (now = off ?? now));
}

/** Events with what a timing light showed made true: read against a mark that is off, it is off by as much. */
export function byTrueTop({ checks, beyond }: Model, events: readonly JobEvent[]): readonly JobEvent[] {
  if (!events.some((e) => e.type === 'sheet' && e.sheet.body.kind === 'top')) return events;
  const offsets = markOffsets(events);
  const instruments = new Map([...checks, ...beyond].map((c) => [c.id, c.instrument]));
  return events.map((event, k) => {
    if (event.type !== 'reading' || event.reading.value.kind !== 'number' || offsets[k] === 0) return event;
    const { probe, checkId, value } = event.reading;
    if ((probe?.instrument ?? instruments.get(checkId)) !== 'timing light') return event;
    return { type: 'reading', reading: { ...event.reading, value: { ...value, value: value.value - offsets[k]! } } };
  });
}
