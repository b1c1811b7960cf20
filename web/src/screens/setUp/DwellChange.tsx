import { dwellOf, timingShift } from '@pondu/core';
import { Answer, FigureField, Part, useDwell } from './figure.tsx';
import { turned } from './turned.ts';

/** Idling, as dwell is mostly read. */
const DISTRIBUTOR_RPM = 400;

/** Dwell in its three ways, and what a change of it does to the timing. */
export function DwellChange({ jobId, lobes }: { jobId: string; lobes: number }) {
  const [found, left] = [useDwell(`${jobId}.dwell.found`, lobes), useDwell(`${jobId}.dwell.left`, lobes)];
  const within = { low: 5, high: 360 / lobes };
  const now = left.value ?? found.value;
  const shift =
    found.value !== undefined && left.value !== undefined ? timingShift(found.value, left.value) : undefined;
  const said: string[] = [];
  if (now !== undefined) {
    const { share, seconds } = dwellOf(now, lobes, DISTRIBUTOR_RPM);
    said.push(
      `${(100 * share).toFixed(0)} % of the time, ${(1000 * seconds).toFixed(1)} ms at ${2 * DISTRIBUTOR_RPM} rev/min.`,
    );
  }
  if (shift !== undefined && shift !== 0)
    said.push(`The timing has moved ${turned(shift)} ${shift > 0 ? 'earlier' : 'later'}: set it again.`);
  return (
    <Part title="Dwell" about="A degree less of dwell is a degree of the crank earlier.">
      <div className="grid grid-cols-2 gap-2">
        <FigureField label="Dwell found, degrees or %" figure={found} within={within} />
        <FigureField label="Dwell left, degrees or %" figure={left} within={within} />
      </div>
      <Answer>{said.join(' ')}</Answer>
    </Part>
  );
}
