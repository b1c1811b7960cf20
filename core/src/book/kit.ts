import type { Dimension } from '../quantity/index.ts';
import type { House } from '../schema/house.ts';
import type { PartInstance } from '../machine/part.ts';
import type { JobEvent } from '../schema/job.ts';
import type { Model } from '../tracing/model.ts';

export interface KitLine {
  readonly what: string;
  readonly count: number;
  /** Each, in the shop's money. */
  readonly money: number;
  readonly why: 'fit-out' | 'found worn';
  /** What was done in place of renewing it, and when. */
  readonly note: string;
  /** The number under which it was bought last; undefined where nobody wrote one down. */
  readonly number?: string;
  /** What it is set to by the machine's plate, and what it was left at last. */
  readonly set?: {
    readonly low: number;
    readonly high: number;
    readonly dimension: Dimension;
    readonly leftAt?: number;
  };
}

/** Parts that a tune-up renews, by the name of their kind, where the machine has them. */
const RENEWED: readonly { readonly kind: string; readonly what: string }[] = [
  { kind: 'breaker points', what: 'Points' },
  { kind: 'points of one coil', what: 'Points' },
  { kind: 'flywheel points', what: 'Points' },
  { kind: 'condenser', what: 'Condenser' },
  { kind: 'rotor', what: 'Rotor arm' },
  { kind: 'distributor cap', what: 'Distributor cap' },
  { kind: 'spark plug', what: 'Plugs' },
  { kind: 'high-tension lead', what: 'Plug leads' },
  { kind: 'fuel filter', what: 'Fuel filter' },
  { kind: 'air filter', what: 'Air filter element' },
  { kind: 'belt', what: 'Belt' },
];

const renewedAs = (part: PartInstance): string | undefined => RENEWED.find((r) => r.kind === part.kind.kind)?.what;

/**
 * What to have at hand before a tune-up: what the fit-out asks for, and what earlier jobs cleaned, bypassed or made do
 * with instead of renewing, each kind once. `jobs` are the machine's, oldest first.
 */
export function tuneUpKit(model: Model, house: House, jobs: readonly (readonly JobEvent[])[]): KitLine[] {
  const events = jobs.flat();
  const lines = new Map<string, KitLine>();
  for (const part of model.machine.parts) {
    const what = renewedAs(part);
    if (what === undefined) continue;
    const known = lines.get(what);
    lines.set(what, {
      what,
      count: (known?.count ?? 0) + 1,
      money: known?.money ?? dearest(model, house, part.id),
      why: 'fit-out',
      note: '',
      ...(known?.number === undefined ? numberOf(model, events, part.id) : { number: known.number }),
      ...(known?.set ? { set: known.set } : settingOf(model, events, part.id)),
    });
  }
  const lasting = new Map<string, Fix>();
  for (const e of events) if (e.type === 'fix') lasting.set(partOf(model, e.fix.repairId)?.id ?? e.fix.id, e.fix);
  for (const fix of lasting.values()) {
    const part = partOf(model, fix.repairId);
    const madeDo = fix.temporary || fix.how === 'cleaned' || fix.how === 'bypassed';
    if (!part || !madeDo) continue;
    const what = renewedAs(part) ?? part.label;
    const note = `${fix.temporary ? 'temporary' : fix.how}, ${fix.at.slice(0, 10)}`;
    const known = lines.get(what);
    lines.set(what, {
      ...(known ?? { what, count: 1, money: dearest(model, house, part.id), ...numberOf(model, events, part.id) }),
      why: 'found worn',
      note: known?.note ? `${known.note}; ${note}` : note,
    });
  }
  return [...lines.values()];
}
type Fix = (JobEvent & { type: 'fix' })['fix'];

/** The number of the part that was fitted last. */
function numberOf(model: Model, events: readonly JobEvent[], partId: string): Pick<KitLine, 'number'> {
  const last = events.findLast(
    (e) => e.type === 'fix' && e.fix.partNumber !== undefined && partOf(model, e.fix.repairId)?.id === partId,
  );
  return last?.type === 'fix' && last.fix.partNumber ? { number: last.fix.partNumber } : {};
}
/** The figure that is set on it, and what it was left at last. */
function settingOf(model: Model, events: readonly JobEvent[], partId: string): Pick<KitLine, 'set'> {
  const plate = [...model.plates.values()].find((p) => p.part.id === partId && p.spec.setAs !== undefined);
  if (!plate) return {};
  const { low, high, spec } = plate;
  const last = events.findLast((e) => e.type === 'setting' && e.setting.figure === plate.id);
  return {
    set: { low, high, dimension: spec.dimension, ...(last?.type === 'setting' ? { leftAt: last.setting.leftAt } : {}) },
  };
}
/** To renew a part is the dearest of its repairs. */
const dearest = ({ repairs }: Model, house: House, partId: string): number =>
  Math.max(
    0,
    ...[...repairs.values()].filter((r) => r.part.id === partId).map((r) => house.repairs[r.id]?.money ?? r.money),
  );
const partOf = (model: Model, repairId: string): PartInstance | undefined => model.repairs.get(repairId)?.part;
