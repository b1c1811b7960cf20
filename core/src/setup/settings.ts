import type { JobEvent, Setting } from '../schema/job.ts';
import type { Model, Plate } from '../tracing/model.ts';

/** Figures that are set, not only measured: what a finished ignition job leaves written down. */
const SET_FIGURES = [
  'points.gapMetres',
  'points.dwellDegrees',
  'points-1.gapMetres',
  'points-2.gapMetres',
  'coil-1.airGapMetres',
  'coil-2.airGapMetres',
  'plug-1.gapMetres',
];

export interface SetFigure {
  readonly plate: Plate;
  readonly label: string;
  readonly setting: Setting | undefined;
  readonly within: boolean | undefined;
}

/** Numbered where each cylinder has its own. */
const labelOf = ({ part, spec }: Plate): string =>
  part.together !== undefined ? `${spec.label}, ${part.label.toLowerCase()}` : spec.label;

/** The set-up sheet: each figure with its band, found at, left at. The last entry of a figure stands. */
export function settingsOf(model: Model, events: readonly JobEvent[]): SetFigure[] {
  const last = new Map<string, Setting>();
  for (const e of events) if (e.type === 'setting') last.set(e.setting.figure, e.setting);
  return SET_FIGURES.flatMap((id) => {
    const plate = model.plates.get(id);
    if (!plate) return [];
    const setting = last.get(id);
    const label = id.startsWith('plug-') ? 'Plug gap, all' : labelOf(plate);
    return [{ plate, label, setting, within: setting && setting.leftAt >= plate.low && setting.leftAt <= plate.high }];
  });
}
