import type { Series } from '@pondu/core';
import { format } from 'date-fns';
import { useState } from 'react';
import { Chart } from '../../chart/Chart.tsx';
import { SelectField } from '../../ui/Field.tsx';
import { showQuantity, showBand } from '../../units/quantity.ts';

/** Settings and readings over the years, each with its band. */
export function SeriesPanel({ series }: { series: readonly Series[] }) {
  const [chosen, setChosen] = useState('');
  const shown = series.find((s) => s.id === chosen) ?? series[0];
  if (!shown) return null;
  const times = shown.points.map((p) => Date.parse(p.at));
  const ends = [Math.min(...times), Math.max(...times)];
  const kept = shown.points.filter((p) => p.kind !== 'found');
  const words = (v: number) => showQuantity(v, shown.dimension);
  return (
    <section className="card grid gap-2 p-4" aria-label="Over the years">
      <h2 className="text-lg">Over the years</h2>
      <SelectField
        label="Figure"
        value={shown.id}
        options={series.map((s) => ({ value: s.id, label: s.label }))}
        onChange={setChosen}
      />
      <Chart
        summary={`${shown.label}: ${shown.points.map((p) => `${format(new Date(p.at), 'MMM yyyy')} ${p.kind} ${words(p.value)}`).join(', ')}.`}
        xWords={(t) => format(new Date(t), 'MMM yy')}
        yWords={words}
        bands={
          shown.band
            ? [
                {
                  at: ends,
                  low: [shown.band.low, shown.band.low],
                  high: [shown.band.high, shown.band.high],
                  label: `should be ${showBand(shown.band.low, shown.band.high, shown.dimension)}`,
                },
              ]
            : []
        }
        lines={[
          {
            at: kept.map((p) => Date.parse(p.at)),
            values: kept.map((p) => p.value),
            label: 'left at, or read',
            tone: 'ink',
          },
        ]}
        dots={shown.points.map((p) => ({
          x: Date.parse(p.at),
          y: p.value,
          hollow: p.kind === 'found',
          label: `${format(new Date(p.at), 'd MMM yyyy')}: ${p.kind} ${words(p.value)}`,
        }))}
        height={200}
      />
      {shown.points.some((p) => p.kind === 'found') && (
        <p className="text-[14px] text-soft">Hollow: as it was found.</p>
      )}
    </section>
  );
}
