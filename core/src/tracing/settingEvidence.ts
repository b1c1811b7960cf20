import { offTheShelf } from '../machine/part.ts';
import type { Fix, JobEvent, Reading, Setting } from '../schema/job.ts';
import { byTrueTop } from './markEvidence.ts';
import type { Model, Plate } from './model.ts';

const within = ({ low, high }: Plate, value: number): boolean => value >= low && value <= high;

/**
 * What puts this figure right: the repair of the likeliest way of failing that moves it, or the only one that its part
 * has (a distributor is turned in its hole, whatever its plate says); undefined where neither is there.
 */
function repairOf({ faults, machine, repairs }: Model, { part, spec }: Plate): string | undefined {
  const sound = offTheShelf(part.kind, machine.fit);
  const moving = faults
    .filter((f) => f.part.id === part.id && f.mode.apply(sound, MIDDLING, machine.fit)[spec.id] !== sound[spec.id])
    .sort((a, b) => b.weight - a.weight)[0];
  const own = [...repairs.values()].filter((r) => r.part.id === part.id);
  return moving?.repairId ?? (own.length === 1 ? own[0]!.id : undefined);
}
const MIDDLING = 0.5;

function readingOf(checkId: string, { id, foundAt, at, warmth, by }: Setting): Reading {
  return {
    id: `${id}-found`,
    checkId,
    value: { kind: 'number', value: foundAt! },
    typed: '',
    note: '',
    at,
    warmth: warmth ?? 'unknown',
    faultPresent: 'unknown',
    ...(by ? { by } : {}),
  };
}
const fixOf = (repairId: string, { id, at, by }: Setting): Fix => ({
  id: `${id}-left`,
  repairId,
  what: 'Set',
  how: 'adjusted',
  parts: '',
  minutes: 0,
  money: 0,
  temporary: false,
  at,
  ...(by ? { by } : {}),
});

/** What figures were left at since the last repair, as readings of the checks that measure them: set is measured. */
export function leftAsRead(model: Model, events: readonly JobEvent[]): Reading[] {
  const since = events.findLastIndex((e) => e.type === 'fix') + 1;
  return events.slice(since).flatMap((e): Reading[] => {
    if (e.type !== 'setting') return [];
    const { setting } = e;
    const check = [...model.checks, ...model.beyond].find((c) => c.figure === setting.figure);
    if (!check) return [];
    const value = { kind: 'number', value: setting.leftAt } as const;
    return [{ ...readingOf(check.id, setting), id: `${setting.id}-left`, value, typed: setting.leftTyped ?? '' }];
  });
}

/**
 * Events as the trace takes them: a setting says what its figure was found at, which is a reading of the check that
 * measures it, and where it was found outside its plate and left inside, that it was put right; what a timing light
 * showed is told against true top.
 */
export function evidenceOf(model: Model, events: readonly JobEvent[]): readonly JobEvent[] {
  return byTrueTop(model, withSettings(model, events));
}

function withSettings(model: Model, events: readonly JobEvent[]): readonly JobEvent[] {
  if (!events.some((e) => e.type === 'setting')) return events;
  return events.flatMap((event): JobEvent[] => {
    const plate = event.type === 'setting' ? model.plates.get(event.setting.figure) : undefined;
    if (event.type !== 'setting' || !plate) return [event];
    const { setting } = event;
    if (setting.foundAt === null) return [event];
    const check = [...model.checks, ...model.beyond].find((c) => c.figure === plate.id);
    const mended =
      !within(plate, setting.foundAt) && within(plate, setting.leftAt) ? repairOf(model, plate) : undefined;
    return [
      event,
      ...(check ? [{ type: 'reading' as const, reading: readingOf(check.id, setting) }] : []),
      ...(mended === undefined ? [] : [{ type: 'fix' as const, fix: fixOf(mended, setting) }]),
    ];
  });
}
