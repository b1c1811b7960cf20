import type { NodeName } from '../network/index.ts';
import type { MachineState } from '../parts/index.ts';
import type { Layout, Scene, SparkPlace } from '../layouts/index.ts';
import type { InstrumentId } from '../instruments/ids.ts';

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
export type Opening = 'cap off' | 'coil leads off' | 'behind the dash' | 'condenser unhooked' | 'plugs out';
export const OPENING_MINUTES: Readonly<Record<Opening, number>> = {
  'cap off': 1.5,
  'coil leads off': 1,
  'behind the dash': 6,
  'condenser unhooked': 2,
  'plugs out': 6,
};

export type CautionId =
  'high tension' | 'fuel vapour' | 'rotating parts' | 'battery' | 'marine' | 'hot coil' | 'exhaust gas';

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
  readonly minutes: number;
  readonly opens: readonly Opening[];
  readonly cautions: readonly CautionId[];
  /** Done in the look stage, before any meter comes out. */
  readonly look?: boolean;
}

/** One file a check (or a check for each cylinder); a maker says what it is on a layout, or nothing. */
export type CheckMaker = (layout: Layout) => Check[];

/** "Touch red to … and black to …", by the earth polarity, so that a sound machine reads positive. */
export function touch(layout: Layout, live: NodeName, earth: NodeName): string {
  const name = (node: NodeName) => layout.nodeNames[node] ?? node;
  const [liveLead, earthLead] = layout.fit.earth === 'negative' ? ['red', 'black'] : ['black', 'red'];
  return `Touch ${liveLead} to ${name(live)}, ${earthLead} to ${name(earth)}.`;
}

export const hasPart = (layout: Layout, id: string): boolean => layout.parts.some((p) => p.id === id);

export const KEY_ON_CLOSED: MachineState = { key: 'on', points: 'closed' };
export const KEY_ON_OPEN: MachineState = { key: 'on', points: 'open' };
export const CRANKING: MachineState = { key: 'crank', points: 'turning' };
export const KEY_OFF: MachineState = { key: 'off', points: 'open' };
export const SPARK_CAUTIONS: readonly CautionId[] = ['high tension', 'fuel vapour', 'rotating parts'];
