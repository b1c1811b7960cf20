import { expectedCompression, type MachineBody } from '@pondu/core';
import { HEIGHTS } from '@pondu/core/schema';
import { heightLabelled, showBand } from '../../units/quantity.ts';
import { Answer, FigureField, Part, useFigure, useHeight } from './figure.tsx';
import { strokesOf } from './strokesOf.ts';

/** A starter in good order turns an engine about so fast, rev/min. */
const USUAL_RPM = 200;

/** Of a cubic metre. */
const LITRES = 1e3;

/** What a compression gauge should show for a ratio, at the speed at which it is turned and the height at which it works. */
export function SqueezePart({ jobId, machine }: { jobId: string; machine: MachineBody }) {
  const key = `${jobId}.squeeze`;
  const { litres, cylinders, compressionRatio, altitudeMetres } = machine.fitOut;
  const [ratio, rpm] = [useFigure(`${key}.ratio`, 'ratio'), useFigure(`${key}.rpm`, 'speed')];
  const swept = useFigure(`${key}.swept`, 'volume', { tank: true });
  const height = useHeight(`${key}.height`);
  const metres = height.value ?? altitudeMetres ?? 0;
  const all = swept.value === undefined ? litres : swept.value * LITRES;
  const possible = metres >= HEIGHTS.least && metres <= HEIGHTS.most && (ratio.value ?? compressionRatio) > 1.5;
  const band =
    all !== undefined && possible
      ? expectedCompression({
          litres: all,
          cylinders,
          ratio: ratio.value ?? compressionRatio,
          rpm: rpm.value ?? USUAL_RPM,
          altitude: metres,
          strokes: strokesOf(machine),
        })
      : undefined;
  return (
    <Part
      title="Expected compression"
      about="Where no book gives it: all plugs out, throttle wide open, turned until the gauge rises no more."
    >
      <div className="grid grid-cols-2 items-start gap-2">
        <FigureField
          label="Compression ratio"
          figure={ratio}
          hint={`Its machine says ${compressionRatio}.`}
          within={{ low: 4, high: 26 }}
        />
        <FigureField
          label="Cranking speed, rev/min"
          figure={rpm}
          hint={`${USUAL_RPM} if not measured.`}
          within={{ low: 50, high: 1000 }}
        />
        {litres === undefined && <FigureField label="Engine size, litres" figure={swept} />}
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
