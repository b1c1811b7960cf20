import { CAUTION_IDS, type CautionId } from '../schema/cautions.ts';
import type { Fit } from '../schema/fit.ts';

/** Asked each time, however often they were understood on this job: what they warn of kills, or blinds. */
const GRAVE: ReadonlySet<CautionId> = new Set<CautionId>([
  'open fuel',
  'starting fluid',
  'high-pressure jets',
  'run-away',
  'drowned cylinder',
  'turning a locked engine',
  'capacitor charge',
]);
export const isGrave = (id: CautionId): boolean => GRAVE.has(id);

/** What is done in a check, a repair or at a bench, as far as it can hurt somebody. */
export type Doing =
  | 'starter turns it'
  | 'turned by hand'
  | 'runs'
  | 'key on'
  | 'makes sparks'
  | 'turns what may be held'
  | 'feeds past the switches'
  | 'opens fuel'
  | 'sprays fuel'
  | 'opens injection'
  | 'opens cooling'
  | 'air into a cylinder'
  | 'works at the battery'
  | 'charges'
  | 'full field'
  | 'at the pack'
  | 'draws the flywheel'
  | 'touches what is hot'
  | 'works underneath';

/** From this compression on a charge lights itself: such an engine has no sparks that nobody told of. */
export const LIGHTS_ITSELF_FROM = 14;
export const isDiesel = ({ spark, compressionRatio }: Fit): boolean =>
  spark === undefined && compressionRatio >= LIGHTS_ITSELF_FROM;
/** Magnets that turn make sparks without a battery. */
const SELF_SPARKING: ReadonlySet<Fit['spark']> = new Set<Fit['spark']>([
  'flywheel-magneto',
  'rotating-magneto',
  'capacitor-discharge',
]);

/** Petrol below decks gathers: blower first, nothing that sparks [8]. */
const petrolAfloat = (fit: Fit): readonly CautionId[] => (fit.marine && !isDiesel(fit) ? ['marine'] : []);

/** The one place that says which hazard a doing has, on which machines. */
const HAZARDS: Readonly<Record<Doing, (fit: Fit) => readonly CautionId[]>> = {
  'starter turns it': (fit) => [
    'rotating parts',
    ...petrolAfloat(fit),
    ...(isDiesel(fit) ? (['diesel may fire'] as const) : []),
  ],
  'turned by hand': (fit) => [
    'rotating parts',
    ...(SELF_SPARKING.has(fit.spark) ? (['magneto by hand'] as const) : []),
  ],
  runs: (fit) => [
    'rotating parts',
    'exhaust gas',
    ...petrolAfloat(fit),
    ...(isDiesel(fit) ? (['run-away'] as const) : []),
  ],
  'key on': petrolAfloat,
  'makes sparks': (fit) => ['high tension', 'fuel vapour', ...petrolAfloat(fit)],
  'turns what may be held': () => ['turning a locked engine', 'drowned cylinder'],
  'feeds past the switches': (fit) => ['jumping the starter', ...petrolAfloat(fit)],
  // Diesel does not flash at these temperatures; what it does under pressure is another doing.
  'opens fuel': (fit) => (isDiesel(fit) ? [] : ['open fuel', 'fuel vapour', ...petrolAfloat(fit)]),
  'sprays fuel': (fit) => ['starting fluid', 'fuel vapour', ...petrolAfloat(fit)],
  'opens injection': () => ['high-pressure jets'],
  'opens cooling': () => ['hot coolant'],
  'air into a cylinder': () => ['compressed air', 'rotating parts'],
  'works at the battery': () => ['battery'],
  charges: () => ['charging battery'],
  'full field': () => ['full field'],
  'at the pack': () => ['capacitor charge'],
  'draws the flywheel': () => ['flywheel puller'],
  'touches what is hot': () => ['hot engine'],
  'works underneath': () => ['lifting', 'battery'],
};

/** Cautions of what is done, each once, in the order of the list. */
export function cautionsOf(fit: Fit, doings: Iterable<Doing>, besides: readonly CautionId[] = []): CautionId[] {
  const all = new Set([...besides, ...[...doings].flatMap((d) => HAZARDS[d](fit))]);
  return CAUTION_IDS.filter((id) => all.has(id));
}
