import { MARGIN, type SparkBench, type SparkSays, type TriedFigure } from '@pondu/core';
import { Chart } from '../../chart/Chart.tsx';
import { Button } from '../../ui/Button.tsx';
import { TextField } from '../../ui/Field.tsx';
import { failureWords } from '../../words/failures.ts';
import { Answer } from './figure.tsx';
import { showQuantity, readQuantity } from '../../units/quantity.ts';

const SAYS: Readonly<Record<SparkSays, string>> = {
  'burns points': 'Too much current for points: they burn within hours. Fit the ballast, or a coil of more ohms.',
  'hard on points': 'More current than points like: look for the ballast, and dress them often.',
  feeble: 'Too little current: a coil for a ballastless feed behind a ballast, or ohms in the feed.',
  'current right': 'The current suits points.',
  'weak cranking': 'Short of volts as it cranks: it starts badly cold.',
  'short at speed': 'Short of volts at speed: it misses under load.',
  'holds to the top': 'Volts to spare up to the top speed.',
  'resistors twice':
    'Suppressed twice: resistors in plugs, leads and rotor add up and eat the burn. Take one of them out.',
};
const WARNS: ReadonlySet<SparkSays> = new Set<SparkSays>([
  'burns points',
  'hard on points',
  'feeble',
  'weak cranking',
  'short at speed',
  'resistors twice',
]);

interface Props {
  bench: SparkBench;
  figures: readonly TriedFigure[];
  /** As typed, by figure. */
  typed: Readonly<Record<string, string>>;
  setTyped: (typed: Readonly<Record<string, string>>) => void;
}

/** What was typed that can be read, by figure. */
export function triedOf(
  typed: Readonly<Record<string, string>>,
  figures: readonly TriedFigure[],
): Record<string, number> {
  return Object.fromEntries(
    figures.flatMap(({ id, dimension }) => {
      const read = typed[id]?.trim() ? readQuantity(typed[id], dimension) : undefined;
      return read?.ok ? [[id, read.value]] : [];
    }),
  );
}

/** Volts there against volts asked over the speeds, current and heat; figures to try change them all at once. */
export function CoilBench({ bench, figures, typed, setTyped }: Props) {
  const rpms = bench.rows.map((r) => r.rpm);
  const kilo = (v: number) => `${(v / 1000).toFixed(0)} kV`;
  const worst = [...bench.rows].sort((a, b) => a.available / a.asked - b.available / b.asked)[0]!;
  const series = bench.path.reduce((sum, p) => sum + p.ohms, 0);
  const facts: [string, string][] = [
    ...(bench.closedAmps === null
      ? []
      : ([['Points closed, key on', showQuantity(bench.closedAmps, 'current')]] as [string, string][])),
    ...(bench.coilWatts === null
      ? []
      : ([['Heat in the coil as it runs', `${bench.coilWatts.toFixed(0)} W`]] as [string, string][])),
    ...(bench.ballastWatts === null
      ? []
      : ([['Heat in the ballast', `${bench.ballastWatts.toFixed(0)} W`]] as [string, string][])),
    ['As it cranks', `${kilo(bench.cranking.available)} there, ${kilo(bench.cranking.asked)} asked`],
    ['Least margin, pulling', `${(worst.available / worst.asked).toFixed(1)} times, at ${worst.rpm} rev/min`],
    ...(series > 0
      ? ([
          [
            'In the spark’s way',
            `${showQuantity(series, 'resistance')} (${bench.path.map((p) => p.part.toLowerCase()).join(', ')})`,
          ],
        ] as [string, string][])
      : []),
  ];
  return (
    <div className="grid gap-4">
      <Chart
        summary={`Volts there and asked over engine speed: least margin ${(worst.available / worst.asked).toFixed(1)} at ${worst.rpm} rev/min.`}
        xWords={(v) => `${v}`}
        yWords={kilo}
        lines={[
          { at: rpms, values: bench.rows.map((r) => r.available), label: 'volts there', tone: 'well' },
          {
            at: rpms,
            values: bench.rows.map((r) => r.asked),
            label: 'asked by the plug, pulling',
            tone: 'ink',
            dash: '7 3',
          },
          {
            at: rpms,
            values: bench.rows.map((r) => MARGIN * r.asked),
            label: `with ${MARGIN} times in hand`,
            tone: 'lost',
            dash: '3 3',
          },
        ]}
        axes="rev/min"
        floor={0}
      />
      <ul className="grid gap-1">
        {bench.says.map((s) => (
          <li key={s} className={WARNS.has(s) ? 'font-semibold text-warn' : 'text-well'}>
            {SAYS[s]}
          </li>
        ))}
      </ul>
      {bench.ballastFor !== null && (
        <Answer>{`Fit ${showQuantity(bench.ballastFor, 'resistance')} before the coil for about 3.8 A.`}</Answer>
      )}
      <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 text-[15px]">
        {facts.map(([what, is]) => (
          <div key={what} className="contents">
            <dt className="text-soft">{what}</dt>
            <dd className="m-0">{is}</dd>
          </div>
        ))}
      </dl>
      <section aria-label="Try other figures" className="grid gap-2">
        <h3 className="text-[17px]">Try other figures</h3>
        <p className="text-[14px] text-soft">
          What you measured, or what you think of fitting; empty is the middle of the plate.
        </p>
        <div className="grid gap-2 sm:grid-cols-2">
          {figures.map((f) => {
            const read = typed[f.id]?.trim() ? readQuantity(typed[f.id]!, f.dimension) : undefined;
            return (
              <TextField
                key={f.id}
                label={f.label}
                value={typed[f.id] ?? ''}
                placeholder={showQuantity((f.low + f.high) / 2, f.dimension)}
                error={read && !read.ok ? failureWords(read.failure) : undefined}
                onChange={(e) => setTyped({ ...typed, [f.id]: e.target.value })}
              />
            );
          })}
        </div>
        {Object.values(typed).some((t) => t.trim()) && (
          <Button className="justify-self-start" onClick={() => setTyped({})}>
            Back to the plate
          </Button>
        )}
      </section>
    </div>
  );
}
