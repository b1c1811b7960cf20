import {
  calibrated,
  camOf,
  condenserBy,
  dwellAcross,
  lobesOf,
  type Cam,
  type MachineBody,
  type SetUpView,
} from '@pondu/core';
import { Chart } from '../../chart/Chart.tsx';
import type { StoredJob } from '../../api/types.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { TextField } from '../../ui/Field.tsx';
import { DwellChange } from './DwellChange.tsx';
import { Answer, FigureField, Part, useDwell, useFigure, useFigures } from './figure.tsx';
import { SpringPart } from './SpringPart.tsx';
import { useSheet } from './useSheet.ts';
import { showQuantity } from '../../units/quantity.ts';

const LOST = [
  { value: 'none', label: 'Even, grey' },
  { value: 'moving', label: 'Pit in the moving contact' },
  { value: 'fixed', label: 'Pit in the fixed contact' },
] as const;
/** Gaps of one cam that differ by no more than this are alike, metres: a feeler tells no finer. */
const ALIKE = 0.03e-3;

/** No points are set wider or closer than this, metres. */
const OPEN = { low: 0.05e-3, high: 1e-3 };

/** The line is drawn over these shares of the plate's least gap. */
const GAPS = [0.6, 1, 1.6];

const ACROSS = {
  steady: 'Steady: shaft and spring are good.',
  grows: 'It grows with speed: the shaft wanders in its bushes, and the timing with it.',
  falls:
    'It falls with speed. Take the vacuum hose off, plug it, and read again: a plate that turns changes the dwell. If it still falls: the plate rocks, the shaft wanders in its bushes, or the spring is weak and the points float.',
} as const;

const SPREAD = {
  even: 'Even: cam and shaft are good.',
  shaft:
    'It swings once a turn: shaft bent or bushes worn. Gap and timing wander with it; a module in place of the points does not mind so much.',
  lobe: 'One lobe is worn: that cylinder’s timing is off by itself.',
  proud:
    'It opens more than the others, and wear opens less: dirt, a burr, or the feeler held askew. Measure it again.',
  uneven: 'Uneven without order: measure again, then think of the cam.',
} as const;

interface Props {
  stored: StoredJob;
  machine: MachineBody;
  /** Where gap and dwell should lie. */
  plate: NonNullable<SetUpView['points']>;
  /** The engine’s top speed, rev/min. */
  topRpm?: number | undefined;
}

const camIn = ({ fitOut }: MachineBody): Cam =>
  camOf(fitOut.trails.find((t) => t.trail === 'spark')?.kind, fitOut.cylinders);

const millimetres = (v: number): string => `${(v * 1e3).toFixed(2)}`;

/** Gap and dwell of this cam, its lobes, and where the metal went. */
export function PointsBench({ stored, machine, plate, topRpm }: Props) {
  const { sheet, put, save, changed } = useSheet(stored, 'points', {
    kind: 'points',
    pairs: [],
    lobes: [],
    lost: 'none',
  });
  const key = `${stored.id}.points`;
  const cam = camIn(machine);
  const perSet = cam.lobes;
  const pair = [
    [useFigure(`${key}.gap1`, 'length'), useDwell(`${key}.dwell1`, perSet)],
    [useFigure(`${key}.gap2`, 'length'), useDwell(`${key}.dwell2`, perSet)],
  ] as const;
  const wanted = useFigure(`${key}.wanted`, 'length');
  const [idling, fast] = [useDwell(`${key}.idling`, perSet), useDwell(`${key}.fast`, perSet)];
  const pull = useFigure(`${key}.pull`, 'force');
  const lobes = useFigures(`${key}.lobes`, 'length');
  const typedPairs = pair.flatMap(([gap, dwell]) =>
    gap.value !== undefined && dwell.value !== undefined ? [{ gapMetres: gap.value, dwellDegrees: dwell.value }] : [],
  );
  const pairs = typedPairs.length ? typedPairs : sheet.pairs;
  const measured = lobes.values?.length ? lobes.values : sheet.lobes;
  const line = pairs.length === 2 ? calibrated(pairs[0]!, pairs[1]!) : undefined;
  const spread = measured.length > 1 ? lobesOf(measured, ALIKE) : undefined;
  return (
    <div className="grid gap-5 sm:grid-cols-2">
      <Part
        title="Gap and dwell of this cam"
        about="Two gaps with the dwell read at each: after that, either gives the other."
      >
        {pair.map(([gap, dwell], k) => (
          <div key={k} className="grid grid-cols-2 gap-2">
            <FigureField label={`Gap ${k + 1}`} figure={gap} within={OPEN} />
            <FigureField label={`Dwell ${k + 1}, degrees or %`} figure={dwell} />
          </div>
        ))}
        <FigureField label="Gap wanted" figure={wanted} within={OPEN} />
        {line && (
          <Chart
            summary={`Dwell over the gap of this cam: ${pairs.map((p) => `${p.dwellDegrees}° at ${showQuantity(p.gapMetres, 'length')}`).join(', ')}.`}
            xWords={millimetres}
            yWords={(v) => `${v}°`}
            bands={[
              {
                at: [plate.gap.low, plate.gap.high],
                low: [plate.dwell.low, plate.dwell.low],
                high: [plate.dwell.high, plate.dwell.high],
                label: 'gap and dwell on the plate',
              },
            ]}
            lines={[
              {
                at: GAPS.map((g) => g * plate.gap.low),
                values: GAPS.map((g) => line.dwellAt(g * plate.gap.low)),
                label: 'this cam',
                tone: 'ink',
              },
            ]}
            dots={pairs.map((p) => ({ x: p.gapMetres, y: p.dwellDegrees, label: `${p.dwellDegrees}°` }))}
            axes="gap, mm; dwell"
            height={180}
          />
        )}
        <Answer>
          {pairs.length === 2 && !line
            ? 'These two fix no line: the wider gap must have less dwell.'
            : line && wanted.value !== undefined
              ? `${line.dwellAt(wanted.value).toFixed(1)}° of dwell; a tenth of a millimetre is ${Math.abs(line.slope * 1e-4).toFixed(1)}°.`
              : line
                ? `A tenth of a millimetre is ${Math.abs(line.slope * 1e-4).toFixed(1)}° of dwell, and ${cam.crankTurns === 2 ? 'as much' : 'half as much'} of the timing.`
                : ''}
        </Answer>
      </Part>
      <div className="grid content-start gap-5">
        <DwellChange jobId={stored.id} cam={cam} />
        <Part title="Dwell across speed" about="The same points, read idling and at speed.">
          <div className="grid grid-cols-2 gap-2">
            <FigureField label="Dwell idling, degrees or %" figure={idling} />
            <FigureField label="Dwell at speed, degrees or %" figure={fast} />
          </div>
          <Answer>
            {idling.value !== undefined && fast.value !== undefined
              ? ACROSS[dwellAcross(idling.value, fast.value)]
              : ''}
          </Answer>
        </Part>
      </div>
      <Part
        title="Lobe by lobe"
        about="The gap at each lobe in turn, in the order around the shaft, with blanks between."
      >
        <TextField
          label="Gaps"
          value={lobes.typed}
          error={lobes.error}
          placeholder="0.40 0.41 0.39 0.40"
          onChange={(e) => lobes.setTyped(e.target.value)}
        />
        {measured.length > 1 && (
          <Chart
            summary={`Gap at each lobe: ${measured.map((g) => showQuantity(g, 'length')).join(', ')}.`}
            xWords={(n) => (Number.isInteger(n) ? `${n}` : '')}
            yWords={millimetres}
            bands={[
              {
                at: [1, measured.length],
                low: [plate.gap.low, plate.gap.low],
                high: [plate.gap.high, plate.gap.high],
                label: 'on the plate',
              },
            ]}
            lines={[
              { at: measured.map((_g, k) => k + 1), values: measured, label: 'lobe by lobe', tone: 'ink', dash: '3 3' },
            ]}
            dots={measured.map((g, k) => ({ x: k + 1, y: g, label: `lobe ${k + 1}: ${showQuantity(g, 'length')}` }))}
            axes="lobe; gap, mm"
            height={160}
          />
        )}
        <Answer>
          {spread
            ? `${showQuantity(spread.spread, 'length')} apart. ${spread.lobe ? `Lobe ${spread.lobe}. ` : ''}${SPREAD[spread.says]}`
            : ''}
        </Answer>
      </Part>
      <Part
        title="Where the metal went"
        about="Contacts side by side under a lamp: one pitted, the other with a pip, or both even."
      >
        <Choice label="Contacts" hideLabel value={sheet.lost} options={LOST} onChange={(lost) => put({ lost })} />
        <Answer>
          {sheet.lost === 'none'
            ? ''
            : `The condenser’s capacity is ${condenserBy(sheet.lost, machine.fitOut.earth)} for this coil: measure it, or renew it with the points.`}
        </Answer>
      </Part>
      <SpringPart pull={pull} topRpm={topRpm} />
      <Button
        className="justify-self-start sm:col-span-2"
        disabled={!changed && typedPairs.length === 0 && !lobes.values?.length && pull.value === undefined}
        onClick={() =>
          void save({
            ...sheet,
            pairs,
            lobes: measured,
            ...(pull.value === undefined ? {} : { pullNewtons: pull.value }),
          })
        }
      >
        Write it down
      </Button>
    </div>
  );
}
