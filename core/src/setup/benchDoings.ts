import { cautionsOf, type Doing } from '../machine/hazards.ts';
import type { CautionId } from '../schema/cautions.ts';
import type { Fit } from '../schema/fit.ts';

/** The benches at which a machine is set up. */
export const BENCH_IDS = [
  'sheet',
  'points',
  'coil',
  'leads',
  'timing',
  'road',
  'edge',
  'top',
  'valves',
  'carburettor',
  'oil',
  'charging',
  'drain',
  'battery',
  'abreast',
  'fasteners',
] as const;
export type BenchId = (typeof BENCH_IDS)[number];

/** What is done at each, as far as it can hurt. */
const DOES: Readonly<Record<BenchId, readonly Doing[]>> = {
  sheet: [],
  points: ['turned by hand', 'key on'],
  coil: ['runs', 'touches what is hot'],
  leads: ['makes sparks'],
  timing: ['runs', 'turned by hand', 'makes sparks'],
  road: [],
  edge: ['turned by hand', 'draws the flywheel'],
  top: ['turned by hand', 'starter turns it', 'turns what may be held', 'works at the battery'],
  valves: ['turned by hand', 'turns what may be held', 'touches what is hot'],
  carburettor: ['runs', 'opens fuel', 'touches what is hot'],
  oil: ['opens fuel'],
  charging: ['runs', 'charges', 'works at the battery'],
  drain: ['works at the battery'],
  battery: ['works at the battery', 'charges'],
  abreast: ['runs'],
  fasteners: [],
};
/** On an engine whose pack stands under its flywheel, at every bench about its ignition. */
const AT_IGNITION: ReadonlySet<BenchId> = new Set<BenchId>(['points', 'coil', 'leads', 'timing', 'edge']);

/** Cautions of each bench, by what is done there on this machine. */
export const benchCautions = (fit: Fit, hasPack: boolean): Readonly<Record<string, readonly CautionId[]>> =>
  Object.fromEntries(
    BENCH_IDS.map((id) => [
      id,
      cautionsOf(fit, [...DOES[id], ...(hasPack && AT_IGNITION.has(id) ? (['at the pack'] as const) : [])]),
    ]),
  );
