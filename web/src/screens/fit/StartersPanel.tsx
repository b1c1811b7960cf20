import type { House, MachineBody, UsedStarter } from '@pondu/core';
import { compareStarters } from '../../tracer/useTracer.ts';
import { UsedPanel } from './UsedPanel.tsx';
import type { Asked, ReadRow } from './usedRow.ts';

const asked: readonly Asked[] = [
  { id: 'freeVolts', label: 'Free: volts', low: 2, high: 60 },
  { id: 'freeAmps', label: 'Free: amperes', low: 1, high: 500 },
  { id: 'freeRpm', label: 'Free: its rev/min', low: 200, high: 30_000 },
  { id: 'heldVolts', label: 'Held: volts', low: 0.5, high: 60 },
  { id: 'heldAmps', label: 'Held: amperes', low: 5, high: 2000 },
  { id: 'teeth', label: 'Teeth of the pinion', words: ['good', 'worn', 'chipped'] },
  { id: 'bearings', label: 'Bearings', words: ['quiet', 'hums', 'rumbles'] },
  { id: 'brush', label: 'Shortest brush, mm', low: 0, high: 60, optional: true },
  { id: 'price', label: 'Price', low: 0, high: 1e5 },
];

const usedOf = (r: ReadRow): UsedStarter => {
  const n = (id: string) => r[id] as number;
  return {
    name: r['name'] as string,
    bearings: r['bearings'] as UsedStarter['bearings'],
    teeth: r['teeth'] as UsedStarter['teeth'],
    price: n('price'),
    free: { volts: n('freeVolts'), amps: n('freeAmps'), rpm: n('freeRpm') },
    held: { volts: n('heldVolts'), amps: n('heldAmps') },
    ...(r['brush'] === undefined ? {} : { brushMm: n('brush') }),
  };
};

export function StartersPanel({ machine, house, draftKey }: { machine: MachineBody; house: House; draftKey: string }) {
  return (
    <UsedPanel
      title="Used starters compared"
      how="In a vice, with heavy leads: volts at its own terminals and amperes running free for some seconds, and held still for one second at most. It jumps as it starts, and burns what it touches."
      asked={asked}
      draftKey={draftKey}
      currency={house.currency}
      compare={(rows) => compareStarters(machine, house, rows.map(usedOf))}
    />
  );
}
