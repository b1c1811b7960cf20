import { edgeAt, type EdgeGap } from '@pondu/core';
import { Chart } from '../../chart/Chart.tsx';
import { Answer, Care, FigureField, Part, useFigure } from './figure.tsx';
import { labelled, showQuantity, showBand } from '../../units/quantity.ts';

const shareWords = (v: number) => `${Math.round(v * 100)} %`;
const millimetres = (v: number) => `${Math.round(v * 1e3)}`;
const rpmWords = (v: number) => `${Math.round(v / 5) * 5} rev/min`;

/** Where a magneto's points part against its magnets: what the gap is worth, and from which speed it fires. */
export function EdgeBench({ jobId, edge }: { jobId: string; edge: EdgeGap }) {
  const gap = useFigure(`${jobId}.edge.gap`, 'length');
  const read = gap.value === undefined ? undefined : edgeAt(edge, gap.value);
  const middle = edgeAt(edge, (edge.plate.low + edge.plate.high) / 2)!;
  const { rows } = edge;
  const at = rows.map((r) => r.metres);
  const worth = (of: 'cranking' | 'fast') => rows.map((r) => r[of] / Math.max(...rows.map((q) => q[of])));
  return (
    <div className="grid gap-5 sm:grid-cols-2">
      <Part
        title="Edge gap"
        about="Turn it by hand until the points just part: a lamp or an ohmmeter across them tells. Then measure along the rim from the magnet’s trailing edge to the edge of the pole shoe it has just left."
      >
        <Care>Plug leads off and earthed, or plugs out: a magneto that is turned by hand can fire.</Care>
        <FigureField
          label={labelled('Edge gap', 'length')}
          figure={gap}
          hint={`By the plate ${showBand(edge.plate.low, edge.plate.high, 'length')}.`}
        />
        <Answer>
          {gap.value === undefined
            ? ''
            : read
              ? `${Math.abs(read.degrees).toFixed(1)}° ${read.degrees < 0 ? 'before' : 'after'} neutral: ${Math.round(read.share * 100)} % of the best current as it is turned over. ${firesWords(read.leastRpm)}; in the middle of its plate from ${rpmWords(middle.leastRpm)}.`
              : 'Further off than points can be set: is this the magnet that has just left the pole?'}
        </Answer>
        <p className="text-[14px] text-soft">
          Set by the points’ plate, or by the gap of the points: a tenth wider parts them a degree or two sooner. What
          it was found and left at stands under Found and left.
        </p>
      </Part>
      <Part
        title="What it is worth"
        about={`Current that the points cut, of the most that they could: turned over at ${rpmWords(edge.crankingRpm)} and at ${edge.fastRpm} rev/min.`}
      >
        <Chart
          summary={`Current cut over the edge gap: most at ${showQuantity(rows.reduce((a, b) => (b.cranking > a.cranking ? b : a)).metres, 'length')} as it is turned over.`}
          xWords={millimetres}
          yWords={shareWords}
          bands={[
            {
              at: [edge.plate.low, edge.plate.high],
              low: [0, 0],
              high: [1, 1],
              label: 'on the plate',
            },
          ]}
          lines={[
            { at, values: worth('cranking'), label: 'turned over', tone: 'ink' },
            { at, values: worth('fast'), label: 'fast', tone: 'ink', dash: '5 4' },
          ]}
          dots={
            read && gap.value !== undefined
              ? [{ x: gap.value, y: read.share, label: `measured: ${read.degrees.toFixed(1)}°` }]
              : []
          }
          axes="edge gap, mm; share of the best"
          height={220}
        />
        <p className="text-[14px] text-soft">
          Worked out with magnets that swing evenly; real ones pass more sharply, so this is the least that a wrong gap
          loses.
        </p>
      </Part>
    </div>
  );
}

const firesWords = (leastRpm: number): string =>
  Number.isFinite(leastRpm) ? `It fires from ${rpmWords(leastRpm)} on` : 'It fires at no speed';
