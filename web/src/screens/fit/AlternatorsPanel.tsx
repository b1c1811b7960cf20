import type { House, MachineBody, UsedAlternator } from '@pondu/core';
import { compareAlternators } from '../../tracer/useTracer.ts';
import { UsedPanel } from './UsedPanel.tsx';
import type { Asked, ReadRow } from './usedRow.ts';

const asked: readonly Asked[] = [
  { id: 'slowRpm', label: 'Its rev/min, slow', low: 300, high: 30_000 },
  { id: 'slowVolts', label: 'Volts there', low: 3, high: 60 },
  { id: 'slowAmps', label: 'Amperes there', low: 0.1, high: 500 },
  { id: 'fastRpm', label: 'Fast (may be empty)', low: 300, high: 30_000, optional: true },
  { id: 'fastVolts', label: 'Volts there, at speed', low: 3, high: 60, optional: true },
  { id: 'fastAmps', label: 'Amperes there, at speed', low: 0.1, high: 500, optional: true },
  { id: 'ripple', label: 'Ripple, AC volts', low: 0, high: 50, optional: true },
  { id: 'bearings', label: 'Bearings', words: ['quiet', 'hums', 'rumbles'] },
  { id: 'brush', label: 'Shortest brush, mm', low: 0, high: 60, optional: true },
  { id: 'price', label: 'Price', low: 0, high: 1e5 },
];

const usedOf = (r: ReadRow): UsedAlternator => {
  const n = (id: string) => r[id] as number;
  const fast = [r['fastRpm'], r['fastVolts'], r['fastAmps']].every((v) => v !== undefined);
  return {
    name: r['name'] as string,
    bearings: r['bearings'] as UsedAlternator['bearings'],
    price: n('price'),
    outputs: [
      { rpm: n('slowRpm'), volts: n('slowVolts'), amps: n('slowAmps') },
      ...(fast ? [{ rpm: n('fastRpm'), volts: n('fastVolts'), amps: n('fastAmps') }] : []),
    ],
    ...(r['brush'] === undefined ? {} : { brushMm: n('brush') }),
    ...(r['ripple'] === undefined ? {} : { rippleVolts: n('ripple') }),
  };
};

export function AlternatorsPanel({
  machine,
  house,
  draftKey,
}: {
  machine: MachineBody;
  house: House;
  draftKey: string;
}) {
  return (
    <UsedPanel
      title="Used alternators compared"
      how="On the bench, at one or two of its own speeds: what it gives into which volts, its ripple there, how its bearings sound, what is left of its brushes. Guard the belt, clamp it down."
      asked={asked}
      draftKey={draftKey}
      currency={house.currency}
      compare={(rows) => compareAlternators(machine, house, rows.map(usedOf))}
    />
  );
}
