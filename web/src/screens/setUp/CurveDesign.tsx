import {
  advanceAt,
  designCurve,
  ROAD_STEP,
  roadLimit,
  type CurveDesign as Design,
  type Round,
  type TimingCurve,
  type Unfit,
} from '@pondu/core';
import { Chart } from '../../chart/Chart.tsx';
import { Answer, FigureField, Part, useFigure } from './figure.tsx';

const degrees = (v: number): string => `${v.toFixed(0)}°`;

interface Props {
  draft: string;
  timing: TimingCurve;
  weights: NonNullable<TimingCurve['weights']>;
  /** What was driven, on the road bench. */
  rounds: readonly Round[];
}

/** A curve of one's own: from the figures wanted to stop and springs, held against where it knocked. */
export function CurveDesign({ draft, timing, weights: { now, idleRpm }, rounds }: Props) {
  const base = useFigure(`${draft}.base`, 'angle');
  const total = useFigure(`${draft}.total`, 'angle');
  const start = useFigure(`${draft}.start`, 'speed');
  const full = useFigure(`${draft}.full`, 'speed');
  const [kneeRpm, kneeAt] = [useFigure(`${draft}.kneeRpm`, 'speed'), useFigure(`${draft}.kneeAt`, 'angle')];
  const [knockRpm, knockAt] = [useFigure(`${draft}.knockRpm`, 'speed'), useFigure(`${draft}.knockAt`, 'angle')];
  const [b, t, s, f] = [base.value, total.value, start.value, full.value];
  const driven = roadLimit(rounds, now);
  const typed =
    knockRpm.value !== undefined && knockAt.value !== undefined
      ? [{ rpm: knockRpm.value, degrees: knockAt.value }]
      : [];
  const knee =
    kneeRpm.value !== undefined && kneeAt.value !== undefined
      ? { knee: { rpm: kneeRpm.value, degrees: kneeAt.value } }
      : {};
  const limits = [...(driven ? [driven] : []), ...typed];
  const design =
    b !== undefined && t !== undefined && s !== undefined && f !== undefined
      ? designCurve(now, { base: b, total: t, startRpm: s, fullRpm: f, ...knee }, limits, idleRpm)
      : undefined;
  const { rpms, band } = timing;
  return (
    <Part
      title="A curve of your own"
      about={`By its plates these weights begin at ${now.startRpm.toFixed(0)} and meet their stop at ${now.fullRpm.toFixed(0)} rev/min of the crank, ${degrees(now.span)} later. Another curve asks for other springs, and for the stop to be moved.`}
    >
      <div className="grid grid-cols-2 items-start gap-2 sm:grid-cols-4">
        <FigureField label="At idle, degrees" figure={base} />
        <FigureField label="All of it, degrees" figure={total} />
        <FigureField label="Begins at, rev/min" figure={start} />
        <FigureField label="All in at, rev/min" figure={full} />
        <FigureField
          label="Second spring from, rev/min"
          figure={kneeRpm}
          hint="Only with two springs, one of them loose at first."
        />
        <FigureField label="Degrees there" figure={kneeAt} />
        <FigureField label="It knocked at, rev/min" figure={knockRpm} hint="Beside what the road test says." />
        <FigureField label="With so many degrees" figure={knockAt} />
      </div>
      {driven && (
        <p className="text-[15px]">
          From the road test: it knocked set so that it has {degrees(driven.degrees)} with its weights all out, at{' '}
          {driven.rpm.toFixed(0)} rev/min. A step below that is the most.
        </p>
      )}
      {design && (
        <>
          <Chart
            summary={`The curve wanted over the plate’s. ${makeWords(design)}`}
            xWords={(v) => `${v}`}
            yWords={degrees}
            bands={[{ at: rpms, low: band.map((x) => x.low), high: band.map((x) => x.high), label: 'plate, hose off' }]}
            lines={[
              {
                at: rpms,
                values: rpms.map((rpm) => advanceAt(design.base, design.wanted, rpm)),
                label: 'wanted',
                tone: 'well',
              },
            ]}
            dots={limits.map((l) => ({ x: l.rpm, y: l.degrees, label: `Knocked at ${l.rpm} rev/min, ${l.degrees}°` }))}
            axes="rev/min; degrees of the crank before top"
            floor={0}
          />
          {design.unfit.map((u) => (
            <p key={u.code} className="text-warn">
              {unfitWords(u)}
            </p>
          ))}
        </>
      )}
      <Answer>{design && !impossible(design) ? makeWords(design) : ''}</Answer>
      {design && (
        <p className="text-[14px] text-soft">
          The weights’ own swing is left aside: start a tenth softer, and prove it with the light at four speeds.
        </p>
      )}
    </Part>
  );
}

const IMPOSSIBLE: ReadonlySet<Unfit['code']> = new Set<Unfit['code']>([
  'no-span',
  'speeds-crossed',
  'knee-outside',
  'second-softer',
]);
const impossible = ({ unfit }: Design) => unfit.some((u) => IMPOSSIBLE.has(u.code));

function makeWords(design: Design): string {
  if (impossible(design)) return '';
  const { stopBy, takeUp, rate, second } = design;
  const stop =
    Math.abs(stopBy) < 0.5
      ? 'Leave the stop.'
      : `Move the stop by ${Math.abs(stopBy).toFixed(1)}° of the distributor, ${stopBy > 0 ? 'outward' : 'inward'}.`;
  if (second)
    return `${stop} One spring taken up ${takeUp.toFixed(2)} times as hard as both are now, ${rate.toFixed(2)} times as stiff; the other loose for ${second.looseFor.toFixed(1)}° of the distributor, ${second.rate.toFixed(2)} times as stiff as both are now.`;
  return `${stop} Springs taken up ${takeUp.toFixed(2)} times as hard as now, ${rate.toFixed(2)} times as stiff.`;
}

function unfitWords(u: Unfit): string {
  switch (u.code) {
    case 'no-span':
      return 'All of it must be more than it has at idle.';
    case 'speeds-crossed':
      return 'It must be all in above the speed at which it begins.';
    case 'knee-outside':
      return 'The second spring takes hold between the speeds and the degrees at which it begins and is all in.';
    case 'second-softer':
      return 'From the second spring on it would rise faster than before: another spring only holds it back. Less at that speed, or all in later.';
    case 'starts-under-idle':
      return `It idles at about ${u.idleRpm.toFixed(0)} rev/min: begun below that, the idle hunts with the advance.`;
    case 'over-limit':
      return `At ${u.limit.rpm} rev/min it would have ${u.degrees.toFixed(0)}°, and knocked with ${u.limit.degrees.toFixed(0)}°: stay a step of ${ROAD_STEP}° below, later all in or less of it.`;
  }
}
