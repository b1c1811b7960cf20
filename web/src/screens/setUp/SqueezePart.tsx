import { expectedCompression, type MachineBody } from '@pondu/core';
import { HEIGHTS } from '@pondu/core/schema';
import { heightLabelled, showBand } from '../../units/quantity.ts';
import { Answer, FigureField, Part, useFigure, useHeight } from './figure.tsx';

/** A starter in good order turns an engine about so fast, rev/min. */
const USUAL_RPM = 200;

/** What a compression gauge should show for a ratio, at the speed at which it is turned and the height at which it works. */
export function SqueezePart({ jobId, machine }: { jobId: string; machine: MachineBody }) {
  const key = `${jobId}.squeeze`;
  const { litres, cylinders, compressionRatio, altitudeMetres, trails } = machine.fitOut;
  const [ratio, rpm] = [useFigure(`${key}.ratio`, 'ratio'), useFigure(`${key}.rpm`, 'speed')];
  const swept = useFigure(`${key}.swept`, 'volume', { tank: true });
  const height = useHeight(`${key}.height`);
  const metres = height.value ?? altitudeMetres ?? 0;
  // Litres are kept as litres; a volume is typed in cubic metres of the core.
  const all = swept.value === undefined ? litres : swept.value * 1e3;
  const possible = metres >= HEIGHTS.least && metres <= HEIGHTS.most && (ratio.value ?? compressionRatio) > 1.5;
  const band =
    all !== undefined && possible
      ? expectedCompression({
          litres: all,
          cylinders,
          ratio: ratio.value ?? compressionRatio,
          rpm: rpm.value ?? USUAL_RPM,
          altitude: metres,
          strokes: trails.some((t) => t.trail === 'compression' && t.kind === 'two-stroke')
            ? 'two-stroke'
            : 'four-stroke',
        })
      : undefined;
  return (
    <Part
      title="Compression to expect"
      about="Where no book gives it: all plugs out, throttle wide open, turned until the gauge rises no more."
    >
      <div className="grid grid-cols-2 items-start gap-2">
        <FigureField
          label="Ratio, to one"
          figure={ratio}
          hint={`Its machine says ${compressionRatio}.`}
          within={{ low: 4, high: 26 }}
        />
        <FigureField
          label="Turned at, rev/min"
          figure={rpm}
          hint={`${USUAL_RPM} if not measured.`}
          within={{ low: 50, high: 1000 }}
        />
        {litres === undefined && <FigureField label="All cylinders, litres" figure={swept} />}
        <FigureField label={heightLabelled('Above the sea')} figure={height} />
      </div>
      <Answer>
        {band
          ? `${showBand(band.low, band.high, 'pressure')} on a sound engine. More than the figure, all within a sixth of the best counts.`
          : ''}
      </Answer>
    </Part>
  );
}
