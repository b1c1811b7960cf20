import type { Element, NodeName } from '../network/index.ts';
import type { Dimension } from '../quantity/index.ts';
import type { SymbolId } from '../drawing/symbol.ts';
import type { Fit } from '../schema/fit.ts';
import type { OneOf } from './numbered.ts';
import type { Doing } from './hazards.ts';

/**
 * Figures of a part, SI, their unit in the name: those it always has, and those that only a fault or what follows from one
 * gives it.
 */
export type Figures<Has extends string, May extends string = never> = Readonly<
  Record<Has, number> & Partial<Record<May, number>>
>;
/** Figures of a part that may be of any kind. */
export type PartParams = Figures<string>;

export interface Band {
  readonly low: number;
  readonly high: number;
}

/** A figure the part should have. `typical` is what is assumed until the user gives the machine's own. */
export interface PlateSpec<Id extends string = string> {
  readonly id: Id;
  readonly label: string;
  readonly dimension: Dimension;
  readonly typical: (fit: Fit) => Band;
  /** Figures that nobody looks up (the resistance of a sound joint) are not offered for editing. */
  readonly hidden?: boolean;
  /** Set, not only measured: each by itself, or all of a kind alike. It then stands on the set-up sheet. */
  readonly setAs?: 'each' | 'all';
  /** How many times below and above the typical band a figure may lie; 100 unless given. */
  readonly reach?: number;
  /** Where the reach is not what bounds it: a copper lead has hardly any resistance, a cam no more than its turn. */
  readonly least?: number;
  readonly most?: number;
}

/** The machine is known to solve with a figure this many times off what is typical; `ranges.test.ts` tries it. */
const REACH = 100;

/** Between which ends a figure is taken. SI. */
export function rangeOf(spec: PlateSpec, fit: Fit): Band {
  const { low, high } = spec.typical(fit);
  const reach = spec.reach ?? REACH;
  return { low: spec.least ?? low / reach, high: spec.most ?? high * reach };
}

/** What a part adds to the path of the spark. Ohms, volts, farads. */
export interface HighTension {
  readonly seriesOhms?: number;
  /** Volts to jump a gap that stands in the path. */
  readonly gapVolts?: number;
  /** Leak from the path to earth. */
  readonly shuntOhms?: number;
  /** Above this the spark leaves the path for earth. */
  readonly flashVolts?: number;
}

export interface RepairSpec {
  readonly id: string;
  /** Verb first: "Replace the condenser". */
  readonly label: string;
  readonly minutes: number;
  readonly money: number;
  /** Fitted as a set with. */
  readonly goesWith?: string;
  /** What it does that can hurt, besides what work on such a part always does. */
  readonly does?: readonly Doing[];
}

export interface FaultMode<Has extends string = string, May extends string = never> {
  readonly id: string;
  /** Of several that are one way of failing, each on its own cylinder: that way's name. */
  readonly family?: string;
  readonly cylinder?: number;
  /** How the part has failed, to follow the part's name: "burnt or dirty". */
  readonly label: string;
  /** How often, against the other ways of failing on this kind of trail; relative, from shop experience. */
  readonly weight: number;
  /** The id of one of the part's repairs. */
  readonly repair: string;
  /** Only hands do it: swapped, reversed, set wrong. Work done just before makes it likelier by far. */
  readonly byHand?: true;
  /** The condition that brings it on when it comes and goes. */
  readonly comesWith?: 'heat' | 'cold' | 'damp' | 'shaking';
  /** It is never there without it: a complaint that says nothing of coming and going is hardly its. */
  readonly never?: 'without';
  /**
   * Whole or not at all: a cell that is dead, a tooth that was jumped, metal on metal. Any other begins where its plate
   * ends.
   */
  readonly leap?: true;
  /** Of all its degrees the share that is too slight for most to be brought in; worked out from its plates. */
  readonly slight?: number;
  /** Where figures that have no plate stand before it. */
  readonly from?: Partial<Figures<NoInfer<Has | May>>>;
  /** The figures of the failed part; `severity` 0…1 from slight to complete. Pure. */
  apply(sound: Figures<Has, May>, severity: number, fit: Fit): Figures<Has, May>;
}

export interface PartContext {
  readonly id: string;
  /** Named nodes of the instance: `a`, `b`, and others that the kind documents. */
  readonly nodes: Readonly<Record<string, NodeName>>;
  readonly fit: Fit;
  readonly state: MachineState;
  /** Its wires are off, and it is measured by itself. */
  readonly onBench?: boolean;
}

export interface MachineState {
  readonly key: 'off' | 'on' | 'crank' | 'run';
  /** Where the cam holds the points; `turning` is solved as both. */
  readonly points: 'open' | 'closed' | 'turning';
  /** The stop switch held at run while the key is off, to measure past it. */
  readonly stopHeld?: 'run';
  /** The trigger's part played by a helper, so that a module switches with the engine still. */
  readonly told?: 'by hand';
  /** Parts taken out of circuit: their elements are left out. */
  readonly unplugged?: readonly string[];
  /** Parts that a helper clips in for the check, such as a known-good condenser. */
  readonly clipped?: readonly string[];
  /**
   * Where what moves by itself stands: a relay, a plunger. What is not said follows from the machine's own volts. A
   * switch that is out has just been turned off while the engine still turns.
   */
  readonly at?: Readonly<Record<string, 'in' | 'out'>>;
  /** Just started from cold, its choke half off; it runs warm unless said. */
  readonly warmth?: 'cold';
  /** How fast the engine runs; idling unless said. */
  readonly speed?: 'idle' | 'fast';
  /** Held at this very speed, rev/min; what the trails say of its speed gives way. */
  readonly rpm?: number;
  /** Consumers that stand otherwise than usual: the usual ones are on as it runs and as it cranks. */
  readonly loads?: 'all' | 'none';
}

/** `Has` are figures that it always has, `May` those that a fault adds or only some of the kind have. */
export interface PartKind<Has extends string = string, May extends string = never> {
  readonly kind: string;
  /** What stands for it in a wiring diagram. */
  readonly symbol: SymbolId;
  readonly plates: readonly PlateSpec<Has | May>[];
  readonly faults: readonly FaultMode<Has, May>[];
  readonly repairs: readonly RepairSpec[];
  /** What any work on it does that can hurt. */
  readonly does?: readonly Doing[];
  elements(params: Figures<Has, May>, context: PartContext): Element[];
  /** A check may put a known-good one of these in its place; then its figures are those off the shelf. */
  readonly exchanged?: boolean;
  /** Of the path to this cylinder, where there is one. */
  highTension?(params: Figures<Has, May>, fit: Fit, cylinder?: number): HighTension;
}

/** A part in its place on a machine. Weights may be scaled and labels given where the place matters. */
export interface PartInstance {
  readonly id: string;
  readonly label: string;
  readonly station: string;
  readonly kind: PartKind;
  readonly nodes: Readonly<Record<string, NodeName>>;
  readonly weight?: number;
  /** Only these ways of failing; all when absent. */
  readonly fails?: readonly string[];
  readonly cylinder?: number;
  readonly oneOf?: OneOf;
  /** Of several alike: what they are called together. */
  readonly together?: string;
  /** The part whose given figures and prices hold for this one too, unless it has its own. */
  readonly like?: string;
  /** Repairs, by id, that are done as another part's, named by its id: one head off reaches both valves of a cylinder. */
  readonly mendedWith?: Readonly<Record<string, string>>;
  /** Not in the machine's low-voltage network (the spark's side): an ohmmeter meets it only on the bench. */
  readonly apart?: boolean;
}

/** The middle of every typical band: a part off the shelf. */
export const offTheShelf = <Has extends string, May extends string>(
  kind: PartKind<Has, May>,
  fit: Fit,
): Figures<Has, May> =>
  Object.fromEntries(
    kind.plates.map((p) => {
      const { low, high } = p.typical(fit);
      return [p.id, (low + high) / 2];
    }),
  ) as Figures<Has, May>;

/** Figures of a part as a check finds it: its own, or those of the known-good one that stands in for it. */
export const figuresIn = (part: PartInstance, own: PartParams, state: MachineState, fit: Fit): PartParams =>
  part.kind.exchanged && state.clipped?.includes(part.id) ? offTheShelf(part.kind, fit) : own;

/** What a part of a kind is measured by. */
export type FiguresOf<Kind extends { elements(params: never, context: PartContext): Element[] }> = Parameters<
  Kind['elements']
>[0];

/** One resistance from `a` to `b`: joints, and whatever stands in a wire. */
export const inLine = (p: Figures<'ohms'>, { id, nodes }: PartContext): Element[] => [
  { type: 'resistor', id, a: nodes['a']!, b: nodes['b']!, ohms: p.ohms },
];

/** Log scale between two positive ends; severity 0 gives `from`. */
export const logBetween = (from: number, to: number, severity: number): number => from * (to / from) ** severity;
export const between = (from: number, to: number, severity: number): number => from + (to - from) * severity;
/** Stands for "not connected": far beyond any ohmmeter. Ohms. */
export const OPEN_OHMS = 1e12;
/** Metal on metal where it should not be; the same wherever it happens, so its ohms do not tell where. */
export const deadShort = (severity: number): number => logBetween(0.15, 0.02, severity);
