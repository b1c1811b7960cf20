import { dwellOf, timingShift, type Cam } from '@pondu/core';
import { Answer, FigureField, Part, useDwell } from './figure.tsx';
import { turned } from './turned.ts';

/** Of the crank, idling, as dwell is mostly read. */
const IDLE_RPM = 800;

const LESS: Readonly<Record<Cam['crankTurns'], string>> = {
  1: 'Their cam is on the crank: a degree less of dwell is half a degree earlier.',
  2: 'A degree less of dwell is a degree of the crank earlier.',
};

/** Dwell in its three ways, and what a change of it does to the timing. */
export function DwellChange({ jobId, cam: { lobes, crankTurns } }: { jobId: string; cam: Cam }) {
  const [found, left] = [useDwell(`${jobId}.dwell.found`, lobes), useDwell(`${jobId}.dwell.left`, lobes)];
  const within = { low: 5, high: 360 / lobes };
  const now = left.value ?? found.value;
  const shift =
    found.value !== undefined && left.value !== undefined
      ? timingShift(found.value, left.value, crankTurns)
      : undefined;
  const said: string[] = [];
  if (now !== undefined) {
    const { share, seconds } = dwellOf(now, lobes, IDLE_RPM / crankTurns);
    said.push(`${(100 * share).toFixed(0)} % of the time, ${(1000 * seconds).toFixed(1)} ms at ${IDLE_RPM} rev/min.`);
  }
  if (shift !== undefined && shift !== 0)
    said.push(`The timing has moved ${turned(shift)} ${shift > 0 ? 'earlier' : 'later'}: set it again.`);
  return (
    <Part title="Dwell" about={LESS[crankTurns]}>
      <div className="grid grid-cols-2 gap-2">
        <FigureField label="Dwell found, degrees or %" figure={found} within={within} />
        <FigureField label="Dwell left, degrees or %" figure={left} within={within} />
      </div>
      <Answer>{said.join(' ')}</Answer>
    </Part>
  );
}
