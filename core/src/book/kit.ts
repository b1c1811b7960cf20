import type { House } from '../schema/house.ts';
import type { JobEvent } from '../schema/job.ts';
import type { Model } from '../tracing/model.ts';

export interface KitLine {
  readonly what: string;
  readonly count: number;
  /** Each, in the shop's money. */
  readonly money: number;
  readonly why: 'fit-out' | 'found worn';
  /** What it is set to, or says of itself: from the machine's own plate. */
  readonly note: string;
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

/**
 * What to have at hand before a tune-up: what the fit-out asks for, and what earlier jobs cleaned, bypassed or made do
 * with instead of renewing. `jobs` are the machine's, oldest first.
 */
export function tuneUpKit(model: Model, house: House, jobs: readonly (readonly JobEvent[])[]): KitLine[] {
  const lines = new Map<string, KitLine>();
  for (const part of model.machine.parts) {
    const renewed = RENEWED.find((r) => r.kind === part.kind.kind);
    if (!renewed) continue;
    const known = lines.get(renewed.what);
    lines.set(renewed.what, {
      what: renewed.what,
      count: (known?.count ?? 0) + 1,
      money: known?.money ?? dearest(model, house, part.id),
      why: 'fit-out',
      note: '',
    });
  }
  const lasting = new Map<string, JobEvent & { type: 'fix' }>();
  for (const e of jobs.flat()) if (e.type === 'fix') lasting.set(partOf(model, e.fix.repairId) ?? e.fix.id, e);
  const worn = [...lasting.values()].flatMap(({ fix }): KitLine[] => {
    const repair = model.repairs.get(fix.repairId);
    const madeDo = fix.temporary || fix.how === 'cleaned' || fix.how === 'bypassed';
    if (!repair || !madeDo) return [];
    return [
      {
        what: repair.part.label,
        count: 1,
        money: dearest(model, house, repair.part.id),
        why: 'found worn',
        note: `${fix.temporary ? 'temporary' : fix.how}, ${fix.at.slice(0, 10)}`,
      },
    ];
  });
  return [...lines.values(), ...worn];
}
/** To renew a part is the dearest of its repairs. */
const dearest = ({ repairs }: Model, house: House, partId: string): number =>
  Math.max(
    0,
    ...[...repairs.values()].filter((r) => r.part.id === partId).map((r) => house.repairs[r.id]?.money ?? r.money),
  );
const partOf = (model: Model, repairId: string): string | undefined => model.repairs.get(repairId)?.part.id;
