import { governor } from './governor.ts';
import { breather } from './breather.ts';
import { between, type FaultMode, type PartKind } from '../../../machine/part.ts';

const kind = <Has extends string>(
  name: string,
  figure: { id: Has; label: string; low: number; high: number },
  repairs: PartKind['repairs'],
  faults: readonly FaultMode<NoInfer<Has>>[],
): PartKind<Has> => ({
  kind: name,
  symbol: 'none',
  plates: [
    {
      id: figure.id,
      label: figure.label,
      dimension: 'ratio',
      typical: () => ({ low: figure.low, high: figure.high }),
      hidden: true,
    },
  ],
  repairs,
  faults,
  elements: () => [],
});
const leak = { id: 'leakShare', label: 'Air beside the throttle, of an idle’s own', low: 0, high: 0.03 } as const;

const filter = kind(
  'air filter',
  { id: 'openShare', label: 'Share that is open', low: 0.9, high: 1 },
  [{ id: 'renew', label: 'Renew the air filter', minutes: 5, money: 9 }],
  [
    {
      id: 'blocked',
      label: 'blocked',
      weight: 3,
      repair: 'renew',
      apply: (p, s) => ({ ...p, openShare: between(0.3, 0.08, s) }),
    },
  ],
);
const gasket = kind(
  'intake joint',
  leak,
  [{ id: 'renew', label: 'Renew the gasket of carburettor or manifold', minutes: 70, money: 14 }],
  [
    {
      id: 'leaks',
      label: 'leaks: gasket, base or shaft',
      weight: 3,
      repair: 'renew',
      apply: (p, s) => ({ ...p, leakShare: between(0.22, 0.9, s) }),
    },
  ],
);
const hose = kind(
  'vacuum hose',
  leak,
  [{ id: 'renew', label: 'Put the hose on, or renew it', minutes: 8, money: 3 }],
  [
    {
      id: 'off',
      label: 'off or split',
      weight: 3,
      byHand: true,
      repair: 'renew',
      comesWith: 'shaking',
      apply: (p, s) => ({ ...p, leakShare: between(0.3, 1.3, s) }),
    },
  ],
);
/** A hose with something at its end that should shut: what it lets through when it does not. */
const valve = (name: string, repair: string, money: number, label: string, weight: number, low: number, high: number) =>
  kind(
    name,
    { ...leak, high: 0.006 },
    [{ id: 'renew', label: repair, minutes: 15, money }],
    [{ id: 'open', label, weight, repair: 'renew', apply: (p, s) => ({ ...p, leakShare: between(low, high, s) }) }],
  );
const purge = valve('purge valve', 'Renew the purge valve of the canister', 34, 'stuck open', 1.5, 0.25, 0.7);
const servo = valve('brake servo', 'Renew the brake servo or its valve', 120, 'diaphragm leaks', 1, 0.3, 1.1);
/** Throttles of several carburettors, tied to one another. */
const balance = kind(
  'throttle linkage',
  { id: 'apart', label: 'How far the throttles stand apart, of an idle’s opening', low: 0, high: 0.06 },
  [{ id: 'set', label: 'Balance the carburettors', minutes: 35, money: 0 }],
  [
    {
      id: 'out',
      label: 'out of balance',
      weight: 3,
      byHand: true,
      repair: 'set',
      comesWith: 'shaking',
      apply: (p, s) => ({ ...p, apart: between(0.35, 1.1, s) }),
    },
  ],
);
const stop = kind(
  'throttle stop',
  { id: 'openShare', label: 'Opening, of what it should be', low: 0.93, high: 1.07 },
  [{ id: 'set', label: 'Set the throttle stop, both plates alike', minutes: 15, money: 0 }],
  [
    {
      id: 'shut',
      label: 'backed off: too slow an idle',
      weight: 2,
      byHand: true,
      repair: 'set',
      apply: (p, s) => ({ ...p, openShare: between(0.62, 0.3, s) }),
    },
    {
      id: 'open',
      label: 'does not shut: too fast an idle',
      weight: 2,
      byHand: true,
      repair: 'set',
      apply: (p, s) => ({ ...p, openShare: between(1.5, 2.6, s) }),
    },
  ],
);
const screw = kind(
  'idle mixture',
  { id: 'richness', label: 'Richness it is set to', low: 0.97, high: 1.05 },
  [{ id: 'set', label: 'Set the idle mixture', minutes: 10, money: 0 }],
  [
    {
      id: 'weak',
      label: 'set too weak',
      weight: 2,
      byHand: true,
      repair: 'set',
      apply: (p, s) => ({ ...p, richness: between(0.76, 0.45, s) }),
    },
    {
      id: 'rich',
      label: 'set too rich',
      weight: 1.5,
      byHand: true,
      repair: 'set',
      apply: (p, s) => ({ ...p, richness: between(1.5, 1.95, s) }),
    },
  ],
);
const exhaust = kind(
  'exhaust',
  { id: 'openShare', label: 'Share that is open', low: 0.92, high: 1 },
  [{ id: 'clear', label: 'Clear or renew the silencer', minutes: 50, money: 60 }],
  [
    {
      id: 'blocked',
      label: 'blocked: a nest, rust, a collapsed pipe',
      weight: 1.5,
      repair: 'clear',
      apply: (p, s) => ({ ...p, openShare: between(0.34, 0.16, s) }),
    },
  ],
);

/** Parts that only the air trail has. */
export const AIR_PARTS = { filter, gasket, hose, breather, purge, servo, balance, stop, screw, exhaust, governor };
