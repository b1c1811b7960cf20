import type { Machine } from '../../../machine/machine.ts';
import { CRANKING, hasPart, switching, touch, type Check } from '../../../machine/check.ts';

/** A lamp on the coil's points terminal while cranking: the same check with a filament or with an LED. */
export function lampOnPoints(machine: Machine, instrument: 'test lamp' | 'LED lamp', id: string, label: string): Check {
  const liveLead = machine.fit.earth === 'negative' ? 'red' : 'black';
  return {
    id,
    station: switching(machine).station,
    label,
    set: 'Crank, gearbox out of gear.',
    touch: touch(machine, 'coil-', 'block').replace(/red|black/g, (lead) =>
      lead === liveLead ? 'the probe' : 'the clip',
    ),
    watch: `Flashing: the ${switching(machine).name} do${hasPart(machine, 'points') ? '' : 'es'} the switching. A flicker with the battery’s sag is not flashing.`,
    instrument,
    probe: { kind: 'across', live: 'coil-', earth: 'block' },
    state: CRANKING,
    words: ['flashes', 'lit steadily', 'out'],
    minutes: 1.2,
    opens: [],
    cautions: ['rotating parts'],
  };
}
