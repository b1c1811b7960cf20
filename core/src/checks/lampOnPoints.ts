import type { Layout } from '../layouts/index.ts';
import { CRANKING, hasPart, switching, touch, type Check } from './check.ts';

/** A lamp on the coil's points terminal while cranking: the same check with a filament or with an LED. */
export function lampOnPoints(layout: Layout, instrument: 'test lamp' | 'LED lamp', id: string, label: string): Check {
  const liveLead = layout.fit.earth === 'negative' ? 'red' : 'black';
  return {
    id,
    station: switching(layout).station,
    label,
    set: 'Crank, gearbox out of gear.',
    touch: touch(layout, 'coil-', 'block').replace(/red|black/g, (lead) =>
      lead === liveLead ? 'the probe' : 'the clip',
    ),
    watch: `Flashing: the ${switching(layout).name} do${hasPart(layout, 'points') ? '' : 'es'} the switching. A flicker with the battery’s sag is not flashing.`,
    instrument,
    probe: { kind: 'across', live: 'coil-', earth: 'block' },
    state: CRANKING,
    words: ['flashes', 'lit steadily', 'out'],
    minutes: 1.2,
    opens: [],
    cautions: ['rotating parts'],
  };
}
