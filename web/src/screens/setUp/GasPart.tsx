import { gasSays, lambdaByCo, lambdaOf, undiluted, USUAL_CO, type GasSays } from '@pondu/core';
import type { StoredJob } from '../../api/types.ts';
import { Button } from '../../ui/Button.tsx';
import { Answer, FigureField, Part, useFigure } from './figure.tsx';
import { useSheet } from './useSheet.ts';

const SAYS: Readonly<Record<GasSays, string>> = {
  diluted: 'Air has got in behind the engine: a leak in the exhaust, or the probe not far enough in.',
  misfires: 'Fuel goes out unburnt: a cylinder misfires, or a valve leaks. Find that before the mixture is set.',
  rich: 'Too rich: the mixture screw leaner, a little at a time; then choke, float level and air filter.',
  lean: 'Too lean: the mixture screw richer, a little at a time; then air leaks and idle passages.',
  right: 'As it should be.',
};

/** Exhaust gas at idle, with as much of it as the tester shows. */
export function GasPart({ stored }: { stored: StoredJob }) {
  const key = `${stored.id}.gas`;
  const { save } = useSheet(stored, 'gas', { kind: 'gas', co: NaN });
  const [co, co2, o2] = [
    useFigure(`${key}.co`, 'share'),
    useFigure(`${key}.co2`, 'share'),
    useFigure(`${key}.o2`, 'share'),
  ];
  const hc = useFigure(`${key}.hc`, 'ratio');
  const [low, high] = [useFigure(`${key}.low`, 'share'), useFigure(`${key}.high`, 'share')];
  const percent = (share: number | undefined) => (share === undefined ? undefined : share * 100);
  const gas = { co2: percent(co2.value), o2: percent(o2.value), hcPpm: hc.value };
  const monoxide = percent(co.value);
  const shown = Object.fromEntries(Object.entries(gas).filter(([, v]) => v !== undefined));
  const band = { low: percent(low.value) ?? USUAL_CO.low, high: percent(high.value) ?? USUAL_CO.high };
  return (
    <Part
      title="Exhaust gas at idle"
      about="Engine warm, choke off, probe well into the tailpipe. Carbon monoxide is enough; with the rest the mixture is known better."
    >
      <div className="grid grid-cols-2 items-start gap-2">
        <FigureField label="CO, %" figure={co} within={{ low: 0, high: 0.12 }} />
        <FigureField label="CO₂, %" figure={co2} within={{ low: 0, high: 0.17 }} />
        <FigureField label="O₂, %" figure={o2} within={{ low: 0, high: 0.21 }} />
        <FigureField label="HC, ppm" figure={hc} within={{ low: 0, high: 20_000 }} />
        <FigureField label="CO wanted from, %" figure={low} hint={`From its book; ${USUAL_CO.low} if it gives none.`} />
        <FigureField label="CO wanted to, %" figure={high} hint={`${USUAL_CO.high} if it gives none.`} />
      </div>
      <Answer>{monoxide === undefined ? '' : wordsOf({ ...gas, co: monoxide }, band)}</Answer>
      <Button
        className="justify-self-start"
        disabled={monoxide === undefined}
        onClick={() => monoxide !== undefined && void save({ kind: 'gas', co: monoxide, ...shown })}
      >
        Write it down
      </Button>
    </Part>
  );
}

interface Shown {
  readonly co: number;
  readonly co2: number | undefined;
  readonly o2: number | undefined;
  readonly hcPpm: number | undefined;
}
function wordsOf({ co, co2, o2, hcPpm }: Shown, band: { low: number; high: number }): string {
  const known = {
    co,
    ...(co2 === undefined ? {} : { co2 }),
    ...(o2 === undefined ? {} : { o2 }),
    ...(hcPpm === undefined ? {} : { hcPpm }),
  };
  const says = gasSays(known, band);
  const whole = co2 !== undefined && co2 > 0 && o2 !== undefined;
  const lambda = whole ? lambdaOf({ co, co2, o2, hcPpm: hcPpm ?? 0 }) : co > 0 ? lambdaByCo(co) : undefined;
  const air =
    says === 'diluted' && co2 !== undefined
      ? ` Without that air CO is about ${undiluted(co, co2).toFixed(1)} %.`
      : lambda === undefined
        ? ''
        : ` Lambda ${whole ? '' : 'about '}${lambda.toFixed(2)}.`;
  return `${SAYS[says]}${air}`;
}
