import type { FiringPlan } from '../ignition/index.ts';
import type { NodeName } from '../network/index.ts';
import type { TrailId } from '../schema/fitOut.ts';
import type { Fit } from '../schema/fit.ts';
import type { AsFound, Known, MachineParams } from './known.ts';
import type { Offers } from './observed.ts';
import type { MachineState, PartInstance } from './part.ts';
import type { Site } from './site.ts';

export interface Station {
  readonly id: string;
  readonly label: string;
  /** What goes into the small drawing: the web names a picture by this. */
  readonly picture: string;
  readonly joint?: boolean;
  /** A side line of the trail, by its name, and the station of the main line that it comes in at. */
  readonly lane?: { readonly name: string; readonly joins: string };
}

/** A pressure as it goes over the minutes: pascal below the air outside. */
export interface Slow {
  readonly id: 'tank' | 'vacuum line';
  readonly minutes: readonly number[];
  readonly pascals: readonly number[];
}

/** One trail of a machine: what brings the engine something it needs, or takes it. */
export interface Trail {
  readonly id: TrailId;
  readonly kind: string;
  /** In the order in which one walks them; what another trail has claimed before stands on both lines. */
  readonly stations: readonly Station[];
  readonly parts: readonly PartInstance[];
  /** Words for a node, as the mechanic would say it. */
  readonly nodeNames: Readonly<Record<NodeName, string>>;
  /** What it tells other trails and the engine. */
  readonly offers: Offers;
  /** What follows from a fault before anyone measures: a short that has melted its fuse. */
  readonly settle?: (found: AsFound, params: MachineParams) => MachineParams;
  /** One firing of a cylinder as a circuit for the transient; without `sparks` the lead is off. */
  readonly firing?: (scene: Known, state: MachineState, cylinder: number, sparks: boolean) => FiringPlan;
  /** What has memory on it: how its pressures go over the minutes. */
  readonly slowly?: (scene: Known) => Slow[];
  /** Parts on a cylinder's high tension, from its coil to its plug. */
  readonly sparkWay?: (cylinder: number) => readonly string[];
  /** Share of the time that the coil's switch is closed as the engine turns; where a meter can average over it. */
  readonly onShare?: (scene: Known) => number;
}

/** A kind of trail: builds a trail from what the machine has, on a site that holds what trails share. One file each. */
export interface TrailKind {
  readonly trail: TrailId;
  readonly kind: string;
  readonly label: string;
  /** Which metal the meter's black lead stands on: the battery's post, or the engine where there is no battery. */
  readonly ground?: 'battery' | 'engine';
  readonly build: (fit: Fit, site: Site) => Trail;
}
