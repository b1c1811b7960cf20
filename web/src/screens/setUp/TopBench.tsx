import { degreesAtPiston, rimMetres, TAPE_RIM, topFromStop, type MachineBody, type SetUpView } from '@pondu/core';
import type { StoredJob } from '../../api/types.ts';
import { Button } from '../../ui/Button.tsx';
import { LinkButton } from '../../ui/LinkButton.tsx';
import { Answer, Care, FigureField, Part, useFigure } from './figure.tsx';
import { SqueezePart } from './SqueezePart.tsx';
import { StaticPart } from './StaticPart.tsx';
import { turned } from './turned.ts';
import { useSheet } from './useSheet.ts';
import { labelled, showBand, showQuantity } from '../../units/quantity.ts';

interface Props {
  stored: StoredJob;
  machine: MachineBody;
  /** What moves the moment at which its points part; null without points. */
  parts: SetUpView['parts'];
  markOff: number;
}

/** True top, the rim and its tape, where the piston stands, and the moment with the engine standing. */
export function TopBench({ stored, machine, parts, markOff }: Props) {
  const jobId = stored.id;
  return (
    <div className="grid gap-5 sm:grid-cols-2">
      <TrueTop stored={stored} />
      <Rim jobId={jobId} machine={machine.name} />
      <PistonPlace jobId={jobId} />
      <SqueezePart jobId={jobId} machine={machine} />
      {parts && <StaticPart stored={stored} parts={parts} markOff={markOff} />}
    </div>
  );
}

function TrueTop({ stored }: { stored: StoredJob }) {
  const [before, after] = [useFigure(`${stored.id}.top.before`, 'angle'), useFigure(`${stored.id}.top.after`, 'angle')];
  const { sheet, save } = useSheet(stored, 'top', { kind: 'top', before: NaN, after: NaN });
  const typed = before.value !== undefined && after.value !== undefined;
  const found = typed
    ? topFromStop(-before.value!, after.value!)
    : Number.isFinite(sheet.before)
      ? topFromStop(-sheet.before, sheet.after)
      : undefined;
  const off = found?.markIsAt ?? 0;
  const words = !found
    ? ''
    : Math.abs(off) < 0.25
      ? 'The mark is right.'
      : off < 0
        ? `The mark comes ${turned(off)} before true top: what a light shows is that much more before top. It is added by itself.`
        : `The mark comes ${turned(off)} after true top: what a light shows is that much less before top. It is taken off by itself.`;
  return (
    <Part
      title="True top"
      about="A stop in number one’s plug hole; turn against it from either side and read the degrees at the pointer."
    >
      <Care>Battery off, all plugs out, turned by hand: the starter bends what the stop meets.</Care>
      <div className="grid grid-cols-2 gap-2">
        <FigureField label="Stops before the mark, degrees" figure={before} />
        <FigureField label="Stops after the mark, degrees" figure={after} />
      </div>
      <Answer>{words}</Answer>
      {typed && (
        <Button
          className="justify-self-start"
          onClick={() => void save({ kind: 'top', before: before.value!, after: after.value! })}
        >
          Write it down
        </Button>
      )}
      {!typed && found && off !== 0 && (
        <Button
          className="justify-self-start"
          onClick={() => void save({ kind: 'top', before: found.stopDegrees, after: found.stopDegrees })}
        >
          The mark was made anew, at true top
        </Button>
      )}
    </Part>
  );
}

function Rim({ jobId, machine }: { jobId: string; machine: string }) {
  const [wide, at] = [useFigure(`${jobId}.rim.wide`, 'length', { long: true }), useFigure(`${jobId}.rim.at`, 'angle')];
  const words =
    wide.value !== undefined && at.value !== undefined
      ? `${showQuantity(rimMetres(at.value, wide.value), 'length')} along the rim, measured on its curve.`
      : '';
  return (
    <Part title="Degrees on the rim" about="To lay out a mark where the pulley or flywheel has none.">
      <div className="grid grid-cols-2 gap-2">
        <FigureField label={labelled('Pulley across', 'length', { long: true })} figure={wide} />
        <FigureField label="Degrees of the crank" figure={at} />
      </div>
      <Answer>{words}</Answer>
      {wide.value !== undefined &&
        (wide.value >= TAPE_RIM.least && wide.value <= TAPE_RIM.most ? (
          <LinkButton to={`/tape?across=${wide.value}&machine=${encodeURIComponent(machine)}`}>
            A tape for this rim, to print
          </LinkButton>
        ) : (
          <p role="alert" className="text-[14px] text-warn">
            A tape is drawn for rims of {showBand(TAPE_RIM.least, TAPE_RIM.most, 'length')} across.
          </p>
        ))}
    </Part>
  );
}

function PistonPlace({ jobId }: { jobId: string }) {
  const stroke = useFigure(`${jobId}.piston.stroke`, 'length', { long: true });
  const rod = useFigure(`${jobId}.piston.rod`, 'length', { long: true });
  const below = useFigure(`${jobId}.piston.below`, 'length');
  const given = stroke.value !== undefined && rod.value !== undefined && below.value !== undefined;
  const at = given ? degreesAtPiston(below.value!, stroke.value!, rod.value!) : undefined;
  const words = !given
    ? ''
    : at === undefined
      ? 'No place of this piston: the rod must be longer than half the stroke, and the distance within the stroke.'
      : `${turned(at)} of the crank from its top.`;
  return (
    <Part title="Piston’s place in degrees" about="Where a book gives the moment as a distance before top.">
      <div className="grid grid-cols-3 gap-2">
        <FigureField label={labelled('Stroke', 'length', { long: true })} figure={stroke} />
        <FigureField label={labelled('Rod', 'length', { long: true })} figure={rod} />
        <FigureField label={labelled('Below top', 'length')} figure={below} />
      </div>
      <Answer>{words}</Answer>
    </Part>
  );
}
