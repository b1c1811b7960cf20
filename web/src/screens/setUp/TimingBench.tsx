import { baseForTotal, freeProbeId, lightProbe, sheetOf, type TimingCurve } from '@pondu/core';
import { toast } from 'sonner';
import { useJobWrites } from '../../api/hooks.ts';
import { problemOf } from '../../api/problem.ts';
import type { StoredJob } from '../../api/types.ts';
import { Chart } from '../../chart/Chart.tsx';
import { useDraft } from '../../draft/useDraft.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { percent } from '../../words/belief.ts';
import { CurveDesign } from './CurveDesign.tsx';
import { Answer, Care, FigureField, Part, useFigure } from './figure.tsx';
import { PumpPart } from './PumpPart.tsx';
import { TrialPart } from './TrialPart.tsx';
import { turned } from './turned.ts';
import { showQuantity } from '../../units/quantity.ts';

const HOSES = [
  { value: 'off', label: 'Hose off' },
  { value: 'on', label: 'Hose on' },
] as const;
const SHOWN = 3;
/** Less likely ones are listed and not drawn. */
const DRAWN_FROM = 0.1;
const DASHES = ['7 3', '3 3', '10 3 3 3'];
const degrees = (v: number): string => `${v.toFixed(0)}°`;

/** The light at speeds against the plate, and which part would explain the difference. */
export function TimingBench({ stored, timing }: { stored: StoredJob; timing: TimingCurve }) {
  const key = `${stored.id}.timing`;
  const [rpm, shown] = [useFigure(`${key}.rpm`, 'speed'), useFigure(`${key}.shown`, 'angle')];
  const [hose, setHose] = useDraft<'on' | 'off'>(`${key}.hose`, 'off');
  const total = useFigure(`${key}.total`, 'angle');
  const write = useJobWrites(stored);
  const { rpms, band, bandOn, rows, explained, sound, measured, taps } = timing;
  async function add() {
    if (rpm.value === undefined || shown.value === undefined) return;
    const probe = lightProbe(Math.round(rpm.value), hose);
    try {
      await write('POST', '/readings', {
        checkId: freeProbeId(probe),
        probe,
        typed: shown.typed,
        note: '',
        warmth: 'hot',
        faultPresent: 'unknown',
      });
      rpm.clear();
      shown.clear();
    } catch (error) {
      toast.error(problemOf(error).message);
    }
  }
  const low = band.map((b) => b.low);
  const high = band.map((b) => b.high);
  const leading = explained.filter((e) => e.share >= DRAWN_FROM).slice(0, SHOWN);
  const lead = explained[0];
  const verdict =
    sound === null
      ? ''
      : sound >= 0.5
        ? 'As the plate has it.'
        : timing.turn
          ? turnWords(timing.turn)
          : lead
            ? `Most likely: ${lead.part.toLowerCase()}, ${lead.how} (${percent(lead.share)}). ${lead.repair}.`
            : 'No part of the timing explains it: look at the mark, the light and the lead it is clamped on.';
  return (
    <div className="grid gap-4">
      <Care>Sleeves, cables and the light’s lead clear of fan and belt; out of gear, brake on, the place aired.</Care>
      <Chart
        summary={`Spark before top over engine speed. ${verdict || 'Nothing read yet.'}`}
        xWords={(v) => (v === 0 ? '0' : `${v}`)}
        yWords={degrees}
        bands={[
          { at: rpms, low, high, label: bandOn ? 'plate, hose off' : 'plate' },
          ...(bandOn
            ? [
                {
                  at: rpms,
                  low: bandOn.map((b) => b.low),
                  high: bandOn.map((b) => b.high),
                  label: 'plate, hose on',
                  second: true,
                },
              ]
            : []),
        ]}
        lines={leading.map((e, k) => ({
          at: rpms,
          values: e.degrees,
          label: `${e.part}: ${e.how}`,
          tone: 'lost' as const,
          dash: DASHES[k]!,
        }))}
        dots={rows.map((r) => ({
          x: r.rpm,
          y: r.degrees,
          hollow: !r.now,
          square: r.hose === 'on',
          label: `${r.rpm} rev/min: ${r.degrees}°, hose ${r.hose}${r.now ? '' : ', before the repair'}`,
        }))}
        axes="rev/min; degrees of the crank before top"
        floor={0}
      />
      {rows.length > 0 && (
        <p className="text-[14px] text-soft">
          Filled: as it is now{rows.some((r) => !r.now) && '; hollow: before the last repair'}
          {bandOn && '; square: hose on'}.
        </p>
      )}
      {timing.markOff !== 0 && (
        <p className="text-[14px] text-soft">
          The mark stands {turned(timing.markOff)} {timing.markOff < 0 ? 'before' : 'after'} true top: what the light
          showed is mended by that, here and in the trace, until the mark is made anew.
        </p>
      )}
      <Answer>{verdict}</Answer>
      {explained.length > 0 && (
        <ul aria-label="What would explain it" className="grid gap-1">
          {explained.map((e) => (
            <li key={e.faultId} className="flex flex-wrap gap-x-3 border-t border-rule pt-1">
              <b className="w-16">{percent(e.share)}</b>
              <span className="grow">
                {e.part}: {e.how}
              </span>
              <span className="text-soft">{e.repair}</span>
            </li>
          ))}
        </ul>
      )}
      <form
        className="grid grid-cols-2 items-start gap-2 sm:grid-cols-[1fr_1fr_auto_auto]"
        onSubmit={(e) => {
          e.preventDefault();
          void add();
        }}
      >
        <FigureField label="Engine held at, rev/min" figure={rpm} within={{ low: 200, high: 15_000 }} />
        <FigureField label="Light shows, degrees before top" figure={shown} within={{ low: -60, high: 90 }} />
        {bandOn ? <Choice label="Vacuum advance hose" value={hose} options={HOSES} onChange={setHose} /> : <span />}
        <Button
          type="submit"
          look="do"
          className="mt-[22px]"
          disabled={rpm.value === undefined || shown.value === undefined}
        >
          Add
        </Button>
      </form>
      <p className="text-[14px] text-soft">
        A light that dials back: turn until the zero mark stands still and type what the dial says. Three speeds tell a
        seized weight from a body that was turned.
      </p>
      <Part
        title="Base for a total"
        about="Where the total matters more than the idle: what to set at idle so that it ends there."
      >
        <FigureField
          label="Total wanted, degrees"
          figure={total}
          hint={`The plate allows ${showQuantity(timing.total.low, 'angle')} to ${showQuantity(timing.total.high, 'angle')} fast.`}
        />
        <Answer>
          {total.value !== undefined && measured
            ? totalWords(baseForTotal(total.value, measured.gain), measured, total.value, timing)
            : total.value !== undefined
              ? 'Read it at idle and at speed first, hose off.'
              : ''}
        </Answer>
      </Part>
      {timing.pod && <PumpPart stored={stored} plate={timing.pod} />}
      {!timing.mapped && <TrialPart stored={stored} />}
      {timing.weights && (
        <CurveDesign
          draft={`${key}.design`}
          timing={timing}
          weights={timing.weights}
          rounds={sheetOf(stored.events, 'road')?.rounds ?? []}
        />
      )}
      {taps && (
        <Part title="Which port for the vacuum advance" about="By this machine’s plates, idling, warm.">
          <p>
            Just above the throttle’s edge: {degrees(taps.ported)}, no vacuum there. On the manifold:{' '}
            {degrees(taps.manifold)}, all of it at idle. It runs cooler and smoother so, and needs less throttle; set
            the timing with the hose off either way, and the idle speed and mixture after the tap was changed.
          </p>
        </Part>
      )}
    </div>
  );
}

/** What a whole curve that is out by the same comes to. */
function turnWords({ crankDegrees, bodyDegrees, way }: NonNullable<TimingCurve['turn']>): string {
  const out = way === 'against' ? 'late' : 'early';
  return `All of it is ${turned(crankDegrees)} ${out}: turn the body by ${turned(bodyDegrees)}, ${way} the way the rotor turns, and read it again. If it wanders back, or one reading differs from the next, look at the chain or gear that drives it.`;
}

function totalWords(
  base: number,
  { gain }: { gain: number },
  total: number,
  { base: plate, total: most }: TimingCurve,
): string {
  const said = [`It gains ${gain.toFixed(0)}° from idle to speed: set ${base.toFixed(0)}° at idle.`];
  if (total > most.high) said.push('That is more than its plate: it may knock and burn pistons.');
  if (base > plate.high + 4) said.push('So much at idle kicks back as it cranks.');
  if (base < plate.low - 4) said.push('So little at idle runs hot and dull.');
  return said.join(' ');
}
