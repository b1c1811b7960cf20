import type { JobEvent, Setting } from '../schema/job.ts';
import type { Model, Plate } from '../tracing/model.ts';

export interface SetFigure {
  readonly plate: Plate;
  readonly label: string;
  readonly setting: Setting | undefined;
  readonly within: boolean | undefined;
}

/** Numbered where each cylinder has its own; all of a kind where they are set alike. */
function labelOf({ part, spec }: Plate): string {
  if (spec.setAs === 'all') return `${spec.label}, all`;
  return part.together !== undefined ? `${spec.label}, ${part.label.toLowerCase()}` : spec.label;
}

/** The set-up sheet: each figure with its band, found at, left at. The last entry of a figure stands. */
export function settingsOf(model: Model, events: readonly JobEvent[]): SetFigure[] {
  const last = new Map<string, Setting>();
  for (const e of events) if (e.type === 'setting') last.set(e.setting.figure, e.setting);
  return [...model.plates.values()]
    .filter(({ spec, part }) => spec.setAs === 'each' || (spec.setAs === 'all' && (part.cylinder ?? 1) === 1))
    .map((plate) => {
      const setting = last.get(plate.id);
      const within = setting && setting.leftAt >= plate.low && setting.leftAt <= plate.high;
      return { plate, label: labelOf(plate), setting, within };
    });
}
