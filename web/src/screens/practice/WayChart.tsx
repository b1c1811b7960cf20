import type { OtherWay, Review } from '@pondu/core';
import { Chart, type ChartDot, type ChartLine } from '../../chart/Chart.tsx';
import { percent } from '../../words/belief.ts';

type Way = Review['way'];

/** Belief in what was wrong, over the minutes that it took: it steps up where a reading told something. */
function lineOf(way: Way): { at: number[]; values: number[] } {
  const [at, values] = [[0], [0]];
  let [minutes, before] = [0, 0];
  for (const step of way) {
    minutes += step.minutes;
    at.push(minutes, minutes);
    values.push(before, step.belief);
    before = step.belief;
  }
  return { at, values };
}

/** What was done, where belief then stood. */
function dotsOf(way: Way): ChartDot[] {
  let minutes = 0;
  return way.flatMap((step) => {
    minutes += step.minutes;
    if (step.kind === 'other' || step.minutes === 0) return [];
    const label = `${step.label}: ${percent(step.belief)} after ${Math.round(minutes)} min`;
    return [{ x: minutes, y: step.belief, square: step.kind === 'fit', hollow: step.kind !== 'fit', label }];
  });
}

const DASHES = ['2 4', '8 4', '2 4 8 4', '1 3'];

/** One's own way, the best one, and those of others over the same machine, on one picture. */
export function WayChart({ review, others }: { review: Review; others: readonly OtherWay[] }) {
  const own = lineOf(review.way);
  const best = lineOf(review.best);
  const lines: ChartLine[] = [
    { ...best, label: 'the best way', tone: 'well', dash: '6 4' },
    ...others
      .slice(0, DASHES.length)
      .map((o, k): ChartLine => ({ ...lineOf(o.way), label: o.by || `way ${k + 2}`, tone: 'warn', dash: DASHES[k]! })),
    { ...own, label: 'your way', tone: 'ink' },
  ];
  return (
    <Chart
      summary={`Belief in what was wrong. Your way: ${review.way.map((s) => `${s.label} ${percent(s.belief)}`).join(', ')}. The best way: ${review.best.map((s) => `${s.label} ${percent(s.belief)}`).join(', ')}.`}
      xWords={(m) => `${m} min`}
      yWords={(share) => `${Math.round(share * 100)} %`}
      axes="minutes along the bottom, how much spoke for what was wrong up the side"
      lines={lines}
      dots={dotsOf(review.way)}
      floor={0}
      height={270}
    />
  );
}
