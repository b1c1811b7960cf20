import { looking, type CheckMaker } from '../../../machine/check.ts';
import type { PartInstance, PartParams } from '../../../machine/part.ts';
import type { Scene } from '../../../machine/scene.ts';
import { KEY_OFF } from '../../../machine/state.ts';
import type { Fit } from '../../../schema/fit.ts';

/** What is this many times off its usual figures may show by itself; of a figure that is nothing, anything. */
const SHOWS_FROM = 2;
/** How often eyes that pass by see it: much of what fails fails inside. Judgement. */
const SEEN_PASSING = 0.35;
/** How often something sound looks bad. */
const LOOKS_BAD = 0.01;

/** Whether a part's figures are so far off that somebody who passes by may see something. */
function shows(part: PartInstance, own: PartParams, fit: Fit): boolean {
  return part.kind.plates.some(({ id, typical }) => {
    const { low, high } = typical(fit);
    const figure = own[id]!;
    if (low === 0 && high === 0) return figure !== 0;
    return figure < low / SHOWS_FROM || figure > high * SHOWS_FROM;
  });
}

/** Chance that something at a station looks bad. */
const looksBad = (scene: Scene, parts: readonly PartInstance[]): number =>
  1 -
  parts.reduce(
    (sound, part) =>
      sound *
      (shows(part, scene.params[part.id]!, scene.machine.fit) ? 1 - SEEN_PASSING : 1 - LOOKS_BAD / parts.length),
    1,
  );

/**
 * A remark about a station, in the mechanic's own words: what was seen there is a little evidence, the note keeps the
 * rest. Never proposed.
 */
export const seenAt: CheckMaker = (machine) =>
  machine.stations.flatMap((station) => {
    const parts = machine.parts.filter((p) => p.station === station.id && p.kind.faults.length > 0);
    if (parts.length === 0) return [];
    return looking(
      {
        id: `seen-${station.id}`,
        station: station.id,
        label: `${station.label}: a remark`,
        set: 'As it stands.',
        touch: 'Something seen in passing.',
        watch: 'Write what it was in the note: who comes next reads it here.',
        words: ['looks sound', 'looks bad'],
        state: KEY_OFF,
        minutes: 0.2,
        opens: [],
        cautions: [],
        elective: true,
      },
      (scene) => {
        const bad = looksBad(scene, parts);
        return { 'looks sound': 1 - bad, 'looks bad': bad };
      },
    );
  });
