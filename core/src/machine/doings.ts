import type { Check, Opening } from './check.ts';
import { cautionsOf, type Doing } from './hazards.ts';
import type { Machine } from './machine.ts';
import type { PartInstance, RepairSpec } from './part.ts';

/** What opening something does. */
const OPENING_DOES: Readonly<Partial<Record<Opening, readonly Doing[]>>> = {
  'plugs out': ['touches what is hot'],
  'flywheel off': ['draws the flywheel'],
  'starter off': ['works underneath'],
  'fuel hose off': ['opens fuel'],
  'bowl off': ['opens fuel'],
  'carburettor off': ['opens fuel', 'touches what is hot'],
  'exhaust off': ['touches what is hot'],
  'valve cover off': ['touches what is hot'],
};

/** Stations of the spark trail that lie away from a pack: plugs that its leads reach, and the battery's own. */
const AWAY_FROM_PACK: ReadonlySet<string> = new Set(['battery', 'terminals', 'strap', 'plugs']);
const atPack = (machine: Machine, station: string): boolean =>
  machine.partById.has('pack') &&
  !AWAY_FROM_PACK.has(station) &&
  machine.trails.some((t) => t.id === 'spark' && t.stations.some((s) => s.id === station));
const AT_BATTERY: ReadonlySet<string> = new Set(['battery', 'terminals']);
const petrolFuel = (machine: Machine, station: string): boolean =>
  machine.trails.some((t) => t.id === 'fuel' && t.stations.some((s) => s.id === station));

/** Whether a check is taken as the starter, not a hand, turns the engine. */
export const turnedByStarter = (machine: Machine, { state }: Check): boolean =>
  state.key === 'crank' && machine.fit.crank?.kind !== 'pull';

/** What a check does: by the state it asks for, what it opens, what it is made with, and where it stands. */
function doingsOf(check: Check, machine: Machine): ReadonlySet<Doing> {
  const { state, opens, instrument, station } = check;
  return new Set<Doing>([
    ...(check.does ?? []),
    ...(state.key === 'crank'
      ? [turnedByStarter(machine, check) ? ('starter turns it' as const) : ('turned by hand' as const)]
      : []),
    ...(state.key === 'run' ? (['runs'] as const) : []),
    ...(state.key === 'on' ? (['key on'] as const) : []),
    ...(state.clipped?.includes('start-jump') ? (['feeds past the switches'] as const) : []),
    ...opens.flatMap((o) => OPENING_DOES[o] ?? []),
    ...(instrument === 'spark tester' ? (['makes sparks'] as const) : []),
    ...(atPack(machine, station) ? (['at the pack'] as const) : []),
    ...(AT_BATTERY.has(station) ? (['works at the battery'] as const) : []),
    // At a pump or a line vapour stands, in a bilge most of all.
    ...(machine.fit.marine && petrolFuel(machine, station) && !check.look ? (['key on'] as const) : []),
  ]);
}

/** A check with the cautions of all that it does. */
export const withCautions = (check: Check, machine: Machine): Check => ({
  ...check,
  cautions: cautionsOf(machine.fit, doingsOf(check, machine), check.cautions),
});

/** What a repair does: its own, what any work on such a part does, and what follows from where it stands. */
export function doingsOfRepair(repair: RepairSpec, part: PartInstance, machine: Machine): ReadonlySet<Doing> {
  const { station } = part;
  return new Set<Doing>([
    ...(repair.does ?? []),
    ...(part.kind.does ?? []),
    ...(petrolFuel(machine, station) ? (['opens fuel'] as const) : []),
    ...(atPack(machine, station) ? (['at the pack'] as const) : []),
    ...(AT_BATTERY.has(station) || CARRIES_MUCH.has(station) ? (['works at the battery'] as const) : []),
  ]);
}
/** Stations whose live studs are never dead while the battery is connected. */
const CARRIES_MUCH: ReadonlySet<string> = new Set([
  'starter-cable',
  'solenoid',
  'starter',
  'charge-wire',
  'charger',
  'strap',
  'start-relay',
]);
