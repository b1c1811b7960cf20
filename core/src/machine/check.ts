import type { NodeName } from '../network/index.ts';
import type { MachineState } from './part.ts';
import { CRANKING, KEY_ON_CLOSED } from './state.ts';
import { idOf } from './numbered.ts';
import type { Machine } from './machine.ts';
import type { Scene } from './scene.ts';
import type { SparkPlace } from './observed.ts';
import type { InstrumentId } from '../instruments/ids.ts';
import type { CautionId } from '../schema/cautions.ts';
import type { Doing } from './hazards.ts';

/** Where an instrument is put. `live` and `earth` are by role: the colour of the lead follows the earth polarity. */
export type Probe =
  | { kind: 'across'; live: NodeName; earth: NodeName }
  /** `bench`: the part alone, off the machine. */
  | { kind: 'ohms'; red: NodeName; black: NodeName; bench?: string }
  | { kind: 'spark'; place: SparkPlace; cylinder: number }
  | { kind: 'every spark' }
  | { kind: 'figure'; value: (scene: Scene) => number }
  | { kind: 'look'; sees: (scene: Scene) => Readonly<Record<string, number>> };

/** Something that must be taken off or apart first; paid once, then it stays open. */
export type Opening =
  | 'cap off'
  | 'coil leads off'
  | 'behind the dash'
  | 'condenser unhooked'
  | 'plugs out'
  | 'flywheel off'
  | 'connectors apart'
  | 'cowl off'
  | 'starter off'
  | 'belt cover off'
  | 'unit opened'
  | 'fuel hose off'
  | 'air filter off'
  | 'bowl off'
  | 'valve cover off'
  | 'carburettor off'
  | 'exhaust off';
export const OPENING_MINUTES: Readonly<Record<Opening, number>> = {
  'cap off': 1.5,
  'coil leads off': 1,
  'behind the dash': 6,
  'condenser unhooked': 2,
  'plugs out': 6,
  'flywheel off': 18,
  'connectors apart': 2,
  'cowl off': 1.5,
  'starter off': 35,
  'belt cover off': 2,
  'unit opened': 25,
  'fuel hose off': 2,
  'air filter off': 1.5,
  'bowl off': 12,
  'valve cover off': 8,
  'carburettor off': 15,
  'exhaust off': 12,
};

export interface Check {
  readonly id: string;
  readonly station: string;
  /** Short name for lists: "Volts at coil +, points closed". */
  readonly label: string;
  readonly set: string;
  readonly touch: string;
  readonly watch: string;
  readonly instrument: InstrumentId;
  readonly probe: Probe;
  readonly state: MachineState;
  /** Words the reading may be, in the order of the buttons, where it is not a number. */
  readonly words?: readonly string[];
  /** What a reading of nothing is called, where the trade has a word for it. */
  readonly atNothing?: string;
  /** Parts that it looks at, where its probe does not already name them. */
  readonly needs?: readonly string[];
  readonly minutes: number;
  readonly opens: readonly Opening[];
  /** What it does that its state, its instrument and what it opens do not say. */
  readonly does?: readonly Doing[];
  /** Of all that it does; what a maker names itself comes on top. */
  readonly cautions: readonly CautionId[];
  /** Where nothing arrives the meter still shows something, up to about this: what an open end picks up. SI. */
  readonly picksUp?: number;
  /** Asks the whole engine: trouble on another trail shows in it too. */
  readonly whole?: boolean;
  /** The plate figure that it measures straight, `part.figure`: a setting of that figure is a reading of this check. */
  readonly figure?: string;
  /** Of several alike that are read in one round: what the round is called, and which this is. */
  readonly beside?: {
    readonly what: string;
    readonly n: number;
    /** What nobody knows of the machine lifts or lowers all of them: each is held against the first that was read. */
    readonly shares?: true;
  };
  /** So many plugs lie side by side and are told one by one. */
  readonly plugs?: number;
  /** What else hangs on the same feed or earth, tried: how it is called in two words beside its station. */
  readonly tap?: string;
  /** Never proposed, for another tells all that it does in hardly more time; what somebody read is taken in. */
  readonly elective?: boolean;
  /** Done in the look stage, before any meter comes out. */
  readonly look?: boolean;
}

/** One file a check (or a check for each cylinder); a maker says what it is on a machine, or nothing. */
export type CheckMaker = (machine: Machine) => Check[];

/** A check by eye, ear, nose or hand: what it sees, as chances of its words. */
export const looking = (check: Omit<Check, 'instrument' | 'probe'>, sees: LookProbe['sees']): Check => ({
  ...check,
  instrument: 'eyes',
  probe: { kind: 'look', sees },
});
type LookProbe = Extract<Probe, { kind: 'look' }>;

/** "Touch red to … and black to …", by the earth polarity, so that a sound machine reads positive. */
export function touch(machine: Machine, live: NodeName, earth: NodeName): string {
  const name = (node: NodeName) => machine.nodeNames[node] ?? node;
  const [liveLead, earthLead] = machine.fit.earth === 'negative' ? ['red', 'black'] : ['black', 'red'];
  return `Touch ${liveLead} to ${name(live)}, ${earthLead} to ${name(earth)}.`;
}

/** The battery's earth post, and bare metal on the engine: which of them the network's ground is depends on the machine. */
export const earthPost = (machine: Machine): NodeName => nodeOf(machine, 'battery', 'b');
export const block = (machine: Machine): NodeName => nodeOf(machine, 'strap', 'a');

/** How the supply is made to carry its current: points closed and the key on, or the module firing as it cranks. */
export const loaded = (machine: Machine): Pick<Check, 'set' | 'state' | 'cautions'> =>
  hasHeldPoints(machine)
    ? { set: 'Key on, points closed (bump the engine until they are).', state: KEY_ON_CLOSED, cautions: [] }
    : { set: 'Crank for three seconds, gearbox out of gear.', state: CRANKING, cautions: ['rotating parts'] };

/** Where the coil is switched: its station, and its words. */
export const switching = (machine: Machine) =>
  hasPart(machine, 'points')
    ? ({ station: 'points', name: 'points' } as const)
    : ({ station: 'module', name: 'module' } as const);

/** Points that can be bumped shut with the key on: a battery's, not a magneto's. */
export const hasHeldPoints = (machine: Machine): boolean =>
  hasPart(machine, 'switch') && (hasPart(machine, 'points') || hasPart(machine, idOf('points', 1)));

/** Sparks are made by cranking, or at points by hand. */
export const crankOrFlick = (machine: Machine, crank: string): string =>
  hasHeldPoints(machine) ? `${crank}, or flick the points with the key on.` : `${crank}.`;

export const hasPart = (machine: Machine, id: string): boolean => machine.parts.some((p) => p.id === id);

/** A node of a part, by the part's own name for it. */
export const nodeOf = (machine: Machine, part: string, name: string): NodeName =>
  machine.parts.find((p) => p.id === part)?.nodes[name] ?? '';

/** What lies over points that are a cylinder's own. */
export const overPoints = (machine: Machine): Opening => (hasPart(machine, 'flywheel') ? 'flywheel off' : 'cowl off');
/** "Flywheel off", or whatever covers them. */
export const openedWords = (machine: Machine): string => (hasPart(machine, 'flywheel') ? 'Flywheel off' : 'Cover off');
export const pullerCaution = (machine: Machine): readonly CautionId[] =>
  hasPart(machine, 'flywheel') ? ['flywheel puller'] : [];

/** Key off, but the stop switch held at run: its line must then be free of earth. */
export const STOP_AT_RUN: MachineState = { key: 'off', points: 'open', stopHeld: 'run' };
export const SPARK_CAUTIONS: readonly CautionId[] = ['high tension', 'fuel vapour', 'rotating parts'];
export type { CautionId } from '../schema/cautions.ts';
export { CRANKING, KEY_OFF, KEY_ON_CLOSED, KEY_ON_OPEN } from './state.ts';
