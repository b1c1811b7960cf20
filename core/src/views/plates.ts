import type { Dimension } from '../quantity/index.ts';
import type { JobEvent, Setting } from '../schema/job.ts';
import type { PlateValue } from '../schema/machine.ts';
import type { TrailName } from '../schema/symptoms.ts';
import { settingsOf } from '../setup/settings.ts';
import type { Model } from '../tracing/model.ts';

export interface PlateView extends PlateValue {
  id: string;
  part: string;
  trail: TrailName;
  figure: string;
  dimension: Dimension;
  /** Between which ends the machine can be computed. */
  range: { readonly low: number; readonly high: number };
}
/** The trail that a station stands on; of one that several share, the first. */
const trailOf = ({ machine }: Model, station: string): TrailName =>
  (machine.trails.find((t) => t.stations.some((s) => s.id === station)) ?? machine.trails[0]!).id;
/** Plate values in force that a person would look up. */
export const platesView = (model: Model): PlateView[] =>
  [...model.plates.values()]
    .filter((p) => !p.spec.hidden && (p.part.cylinder ?? 1) === 1)
    .map(({ id, low, high, source, note, spec, part, range }) => ({
      id,
      part: part.together ?? part.label,
      trail: trailOf(model, part.station),
      figure: spec.label,
      dimension: spec.dimension,
      low,
      high,
      source,
      note,
      range,
    }));

export interface SettingView {
  figure: string;
  label: string;
  dimension: Dimension;
  low: number;
  high: number;
  source: PlateValue['source'];
  setting: Setting | null;
  within: boolean | null;
}
export const settingsView = (model: Model, events: readonly JobEvent[]): SettingView[] =>
  settingsOf(model, events).map(({ plate, label, setting, within }) => ({
    figure: plate.id,
    label,
    dimension: plate.spec.dimension,
    low: plate.low,
    high: plate.high,
    source: plate.source,
    setting: setting ?? null,
    within: within ?? null,
  }));
