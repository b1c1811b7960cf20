import {
  degreesAtPiston,
  dwellOf,
  formatQuantity,
  parseQuantity,
  rimMetres,
  timingShift,
  topFromStop,
  type Dimension,
} from '@pondu/core';
import { useDraft } from '../../draft/useDraft.ts';
import { TextField } from '../../ui/Field.tsx';
import { Folded } from '../../ui/Folded.tsx';
import { failureWords } from '../../words/failures.ts';

/** One figure as it is typed, kept over a reload; a value once it can be read. */
function useFigure(key: string, dimension: Dimension) {
  const [typed, setTyped] = useDraft(key, '');
  const read = typed.trim() === '' ? undefined : parseQuantity(typed, dimension);
  return {
    typed,
    setTyped,
    value: read?.ok ? read.value : undefined,
    error: read && !read.ok ? failureWords(read.failure) : undefined,
  };
}
type Figure = ReturnType<typeof useFigure>;

function FigureField({ label, figure }: { label: string; figure: Figure }) {
  return (
    <TextField
      label={label}
      value={figure.typed}
      error={figure.error}
      onChange={(e) => figure.setTyped(e.target.value)}
    />
  );
}

const Answer = ({ children }: { children: string }) => (
  <p role="status" className="text-[17px] font-semibold empty:hidden">
    {children}
  </p>
);
const degrees = (v: number): string => `${Math.abs(v).toFixed(1)}°`;

interface Props {
  jobId: string;
  cylinders: number;
}

/** What a setting asks to be worked out: nothing is stored but what was typed. */
export function Reckoner({ jobId, cylinders }: Props) {
  return (
    <Folded name="Reckon: true top, rim, piston, dwell" className="card p-3 lg:col-span-2">
      <div className="grid gap-5 sm:grid-cols-2">
        <TrueTop jobId={jobId} />
        <Rim jobId={jobId} />
        <PistonPlace jobId={jobId} />
        <DwellChange jobId={jobId} cylinders={cylinders} />
      </div>
    </Folded>
  );
}

function Part({ title, about, children }: { title: string; about: string; children: React.ReactNode }) {
  return (
    <section aria-label={title} className="grid content-start gap-2">
      <h3 className="text-[17px]">{title}</h3>
      <p className="text-[14px] text-soft">{about}</p>
      {children}
    </section>
  );
}

function TrueTop({ jobId }: { jobId: string }) {
  const [before, after] = [useFigure(`${jobId}.top.before`, 'angle'), useFigure(`${jobId}.top.after`, 'angle')];
  const found =
    before.value !== undefined && after.value !== undefined ? topFromStop(-before.value, after.value) : undefined;
  const off = found?.markIsAt ?? 0;
  const words = !found
    ? ''
    : Math.abs(off) < 0.25
      ? 'The mark is right.'
      : off < 0
        ? `The mark comes ${degrees(off)} before true top: add that to what a light shows before top.`
        : `The mark comes ${degrees(off)} after true top: take that off what a light shows before top.`;
  return (
    <Part
      title="True top"
      about="Battery off, plugs out, a stop in number one’s plug hole. Turn by hand against it from either side; never with the starter."
    >
      <div className="grid grid-cols-2 gap-2">
        <FigureField label="Stops before the mark, degrees" figure={before} />
        <FigureField label="Stops after the mark, degrees" figure={after} />
      </div>
      <Answer>{words}</Answer>
    </Part>
  );
}

function Rim({ jobId }: { jobId: string }) {
  const [wide, at] = [useFigure(`${jobId}.rim.wide`, 'length'), useFigure(`${jobId}.rim.at`, 'angle')];
  const words =
    wide.value !== undefined && at.value !== undefined
      ? `${formatQuantity(rimMetres(at.value, wide.value), 'length')} along the rim, measured on its curve.`
      : '';
  return (
    <Part title="Degrees on the rim" about="To lay out a mark where the pulley or flywheel has none.">
      <div className="grid grid-cols-2 gap-2">
        <FigureField label="Pulley across, mm" figure={wide} />
        <FigureField label="Degrees of the crank" figure={at} />
      </div>
      <Answer>{words}</Answer>
    </Part>
  );
}

function PistonPlace({ jobId }: { jobId: string }) {
  const stroke = useFigure(`${jobId}.piston.stroke`, 'length');
  const rod = useFigure(`${jobId}.piston.rod`, 'length');
  const below = useFigure(`${jobId}.piston.below`, 'length');
  const given = stroke.value !== undefined && rod.value !== undefined && below.value !== undefined;
  const at = given ? degreesAtPiston(below.value!, stroke.value!, rod.value!) : undefined;
  const words = !given
    ? ''
    : at === undefined
      ? 'No place of this piston: the rod must be longer than half the stroke, and the distance within the stroke.'
      : `${degrees(at)} of the crank from its top.`;
  return (
    <Part title="Piston’s place in degrees" about="Where a book gives the moment as a distance before top.">
      <div className="grid grid-cols-3 gap-2">
        <FigureField label="Stroke, mm" figure={stroke} />
        <FigureField label="Rod, mm" figure={rod} />
        <FigureField label="Below top, mm" figure={below} />
      </div>
      <Answer>{words}</Answer>
    </Part>
  );
}

/** Idling, as dwell is mostly read. */
const DISTRIBUTOR_RPM = 400;

function DwellChange({ jobId, cylinders }: { jobId: string; cylinders: number }) {
  const [found, left] = [useFigure(`${jobId}.dwell.found`, 'angle'), useFigure(`${jobId}.dwell.left`, 'angle')];
  const now = left.value ?? found.value;
  const shift =
    found.value !== undefined && left.value !== undefined ? timingShift(found.value, left.value) : undefined;
  const said: string[] = [];
  if (now !== undefined) {
    const { share, seconds } = dwellOf(now, cylinders, DISTRIBUTOR_RPM);
    said.push(
      `${(100 * share).toFixed(0)} % of the time, ${(1000 * seconds).toFixed(1)} ms at ${2 * DISTRIBUTOR_RPM} rev/min.`,
    );
  }
  if (shift !== undefined && shift !== 0)
    said.push(`The timing has moved ${degrees(shift)} ${shift > 0 ? 'earlier' : 'later'}: set it again.`);
  return (
    <Part title="Dwell" about="A degree less of dwell is a degree of the crank earlier.">
      <div className="grid grid-cols-2 gap-2">
        <FigureField label="Dwell found, degrees" figure={found} />
        <FigureField label="Dwell left, degrees" figure={left} />
      </div>
      <Answer>{said.join(' ')}</Answer>
    </Part>
  );
}
