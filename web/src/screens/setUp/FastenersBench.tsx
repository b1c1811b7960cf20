import {
  generalTorque,
  INCH_THREADS,
  inchArea,
  METRIC_PITCH,
  metricArea,
  OILED_LESS,
  PLUG_THREADS,
  PROOF,
  INCH_METRES,
  fromSi,
  unitBySymbol,
} from '@pondu/core';
import { habits } from '../../units/habits.ts';
import { useDraft } from '../../draft/useDraft.ts';
import { Choice } from '../../ui/Choice.tsx';
import { SelectField } from '../../ui/Field.tsx';
import { Answer, Care, Part } from './figure.tsx';

const HOW = [
  { value: 'dry', label: 'Dry' },
  { value: 'oiled', label: 'Oiled' },
] as const;
const METAL = [
  { value: 'iron', label: 'Iron head' },
  { value: 'aluminium', label: 'Aluminium head' },
] as const;
type Metal = (typeof METAL)[number]['value'];
type How = (typeof HOW)[number]['value'];

/** One thread by its name: metric coarse, inch coarse and fine. */
const THREADS = [
  ...Object.entries(METRIC_PITCH).map(([mm, pitch]) => ({
    value: `M${mm}`,
    metres: Number(mm) / 1000,
    area: metricArea(Number(mm) / 1000, pitch),
    inch: false,
  })),
  ...Object.entries(INCH_THREADS).flatMap(([name, { inches, coarse, fine }]) =>
    [coarse, fine].map((threads) => ({
      value: `${name}-${threads}`,
      metres: inches * INCH_METRES,
      area: inchArea(inches, threads),
      inch: true,
    })),
  ),
];
const GRADES = Object.keys(PROOF).map((value) => ({ value, label: value, inch: value.startsWith('grade') }));

/** A torque in both units, the shop's own first. */
const both = (low: number, high = low): string => {
  const [own, other] = habits.inUse.torque === 'N m' ? (['N m', 'lb ft'] as const) : (['lb ft', 'N m'] as const);
  const said = (unit: string) => {
    const [from, to] = [low, high].map((nm) => fromSi(nm, unitBySymbol(unit)).toFixed(0));
    return `${from === to ? from : `${from}–${to}`} ${unit}`;
  };
  return `${said(own)} (${said(other)})`;
};

/** Plugs by torque or by turns, bolts by size and grade, and the flywheel on its taper. */
export function FastenersBench({ jobId }: { jobId: string }) {
  const [how, setHow] = useDraft<How>(`${jobId}.torque.how`, 'dry');
  const [metal, setMetal] = useDraft<Metal>(`${jobId}.torque.metal`, 'iron');
  const [plug, setPlug] = useDraft<string>(`${jobId}.torque.plug`, PLUG_THREADS[2]!.label);
  const [thread, setThread] = useDraft<string>(`${jobId}.torque.thread`, 'M8');
  const [grade, setGrade] = useDraft<string>(`${jobId}.torque.grade`, '8.8');
  const chosen = PLUG_THREADS.find((p) => p.label === plug) ?? PLUG_THREADS[0]!;
  const bolt = THREADS.find((t) => t.value === thread) ?? THREADS[0]!;
  const less = how === 'oiled' ? 1 - OILED_LESS : 1;
  const band = chosen[metal];
  const grades = GRADES.filter((g) => g.inch === bolt.inch);
  const proof = PROOF[grades.some((g) => g.value === grade) ? grade : grades[0]!.value]!;
  return (
    <div className="grid gap-5 sm:grid-cols-2">
      <div className="grid gap-3 sm:col-span-2">
        <Care>
          General figures, for where the machine’s own book has none: its own go first, and not into worn threads.
        </Care>
        <Choice label="Threads" value={how} options={HOW} onChange={setHow} />
      </div>
      <Part title="Spark plugs" about="By torque, or by turns once it is finger-tight on its seat.">
        <SelectField
          label="Plug"
          value={chosen.label}
          options={PLUG_THREADS.map((p) => ({ value: p.label, label: p.label }))}
          onChange={setPlug}
        />
        <Choice label="Head" hideLabel value={metal} options={METAL} onChange={setMetal} />
        <Answer>
          {`${both(band.low * less, band.high * less)}. Or ${turns(chosen.newTurns)} past finger-tight new, ${turns(chosen.usedTurns)} used.`}
        </Answer>
      </Part>
      <Part title="Bolts" about="Three quarters of what the bolt bears, by the usual friction.">
        <SelectField
          label="Thread"
          value={bolt.value}
          options={THREADS.map((t) => ({ value: t.value, label: t.value }))}
          onChange={setThread}
        />
        <SelectField
          label="Grade"
          value={grades.some((g) => g.value === grade) ? grade : grades[0]!.value}
          options={grades}
          onChange={setGrade}
        />
        <Answer>{both(generalTorque(bolt.metres, bolt.area, proof, how))}</Answer>
      </Part>
      <Part title="Flywheel on a taper" about="What holds it is the taper; the key only finds the place.">
        <ul className="list-disc pl-5 text-[15px]">
          <li>
            With the puller made for it, the nut left on by two threads. Never by hammer on the rim or the shaft’s end.
          </li>
          <li>
            Key and both keyways: no step when a nail is drawn across. A sheared key is renewed, and why it sheared is
            asked.
          </li>
          <li>Tapers clean and dry, no oil. Marked blue they bear all round; less than two thirds is lapped in.</li>
          <li>Nut to the book’s torque. Then the air gap to the coil, and the timing.</li>
        </ul>
      </Part>
    </div>
  );
}

const turns = (t: number): string => (t >= 0.5 ? 'half a turn' : `a ${t < 0.07 ? 'sixteenth' : 'twelfth'} of a turn`);
