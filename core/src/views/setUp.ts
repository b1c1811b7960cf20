import type { CautionId } from '../schema/cautions.ts';
import { benchCautions } from '../setup/benchDoings.ts';
import { edgeGap, type EdgeGap } from '../setup/edgeGap.ts';
import { orderOfWork, type Step } from '../setup/carburettors.ts';
import { sparkBench, type SparkBench } from '../setup/sparkBench.ts';
import { timingCurve, type TimingCurve } from '../setup/timingCurve.ts';
import type { Band } from '../machine/part.ts';
import { idOf } from '../machine/numbered.ts';
import type { Dimension } from '../quantity/index.ts';
import type { JobEvent } from '../schema/job.ts';
import type { Tracer } from '../tracing/trace.ts';
import { settingsView, type SettingView } from './plates.ts';

/** A figure that can be tried on the coil and plug bench. */
export interface TriedFigure {
  id: string;
  label: string;
  dimension: Dimension;
  low: number;
  high: number;
}
/** Everything that the set-up of this machine has a bench for. */
export interface SetUpView {
  settings: readonly SettingView[];
  /** With a distributor: several cylinders on one cap. */
  cap: boolean;
  /** Where the gap and dwell of its points should lie; null where it has none. */
  points: { readonly gap: Band; readonly dwell: Band } | null;
  /** Of a magneto with points; null of others. */
  edge: EdgeGap | null;
  charges: boolean;
  battery: boolean;
  /** What is turned to move the moment at which its points part; null without points. */
  parts: 'distributor' | 'plate' | null;
  /** Whether it has valves that are set. */
  valves: boolean;
  /** Whether oil is mixed into its fuel. */
  oiled: boolean;
  carburettors: number;
  steps: readonly Step[];
  tried: readonly TriedFigure[];
  timing: TimingCurve | null;
  /** Nothing tried on it yet. */
  bench: SparkBench | null;
  /** Of each bench, by what is done there. */
  cautions: Readonly<Record<string, readonly CautionId[]>>;
}

const TRIED = [
  'coil.primaryOhms',
  'coil.henries',
  'ballast.ohms',
  'plug-1.gapMetres',
  'plug-1.ohms',
  'lead-1.ohms',
  'points.dwellDegrees',
];

function pointsPlate({ model }: Tracer): SetUpView['points'] {
  const plate = (figure: string) =>
    model.plates.get(`points.${figure}`) ?? model.plates.get(`${idOf('points', 1)}.${figure}`);
  const [gap, dwell] = [plate('gapMetres'), plate('dwellDegrees')];
  if (!gap || !dwell) return null;
  return { gap: { low: gap.low, high: gap.high }, dwell: { low: dwell.low, high: dwell.high } };
}

export function setUpView(tracer: Tracer, events: readonly JobEvent[]): SetUpView {
  const { model } = tracer;
  const { machine } = model;
  const { fit } = machine;
  return {
    settings: settingsView(model, events),
    cap: machine.partById.has('cap') && fit.cylinders > 1,
    points: pointsPlate(tracer),
    edge: edgeGap(model),
    charges: fit.charge !== undefined,
    battery: machine.partById.has('battery'),
    parts: !pointsPlate(tracer) ? null : fit.spark === 'battery-points' ? 'distributor' : 'plate',
    valves: fit.compression?.kind !== 'two-stroke' && fit.fuel?.mixed !== true,
    oiled: fit.fuel?.mixed === true,
    carburettors: fit.fuel && fit.air ? fit.fuel.carburettors : 0,
    steps: fit.fuel && fit.air ? orderOfWork(fit) : [],
    tried: TRIED.flatMap((id) => {
      const plate = model.plates.get(id);
      return plate
        ? [
            {
              id,
              label: `${plate.part.label}: ${plate.spec.label.toLowerCase()}`,
              dimension: plate.spec.dimension,
              low: plate.low,
              high: plate.high,
            },
          ]
        : [];
    }),
    timing: timingCurve(tracer, events),
    bench: sparkBench(model),
    cautions: benchCautions(fit, machine.partById.has('pack')),
  };
}
