import type { Clearing, House, MachineBody } from '@pondu/core';
import { useState } from 'react';
import { useClearing } from '../../tracer/useTracer.ts';
import { Choice } from '../../ui/Choice.tsx';
import { Folded } from '../../ui/Folded.tsx';
import { Failed, Loading } from '../../ui/States.tsx';

const WARMTH = [
  { value: '-5', label: 'Frost' },
  { value: '5', label: 'Cold' },
  { value: '20', label: 'Mild' },
  { value: '60', label: 'Hot engine' },
] as const;
interface Props {
  machine: MachineBody;
  house: House;
}

/** Fuel stands in the cylinders: how this engine is cleared, with its minutes. */
export function ClearingPanel({ machine, house }: Props) {
  const [open, setOpen] = useState(false);
  return (
    <Folded name="It has drowned: clear it, with its minutes" className="card p-3 lg:col-span-2" onToggle={setOpen}>
      {open && <Steps machine={machine} house={house} />}
    </Folded>
  );
}

function Steps({ machine, house }: Props) {
  const [warmth, setWarmth] = useState<(typeof WARMTH)[number]['value']>('20');
  const { data: clearing, error } = useClearing(machine, house, Number(warmth));
  if (error) return <Failed error={error} />;
  return (
    <div className="grid gap-3">
      <p className="rounded-lg bg-warn-wash p-2 text-[14px] text-warn">
        Fuel and sparks: aired place, no flame, a fire extinguisher at hand, everyone clear of belt and fan.
        {machine.fitOut.marine && ' Bilge aired and the blower run for four minutes first.'}
      </p>
      <Choice label="How warm" value={warmth} options={WARMTH} onChange={setWarmth} />
      {clearing === undefined ? (
        <Loading what="Working out its minutes" />
      ) : clearing ? (
        <ClearingSteps clearing={clearing} />
      ) : null}
    </div>
  );
}

const minutes = (v: number) => (v < 1 ? 'under a minute' : `${Math.round(v)} min`);

/** The way that suits first, then the other. */
export function ClearingSteps({ clearing: c }: { clearing: Clearing }) {
  const often =
    c.bursts === null
      ? `${c.pulls} pulls of the cord`
      : `${Math.round(c.seconds)} seconds of the starter: ${c.bursts} ${c.bursts === 1 ? 'burst' : 'bursts of ten seconds, a minute’s rest after each'}`;
  const turning = (
    <Way key="turning" title={`Turned over, ${minutes(c.turning)}`}>
      <li>Fuel off at the tap, or its pump unplugged. Choke open, throttle held wide open: it is not to be pumped.</li>
      <li>
        {often}. Each cylinder needs {c.strokes} strokes of air.
      </li>
      <li>It may catch at any stroke, smoke black and run up: close the throttle as it clears, then fuel on.</li>
    </Way>
  );
  const plugs = (
    <Way key="plugs" title={`Plugs out, ${minutes(c.plugsOut)}`}>
      <li>Fuel off, plugs out, ignition made dead and the leads earthed away from the holes.</li>
      <li>Throttle wide open, five seconds of turning, rags over the holes: what lies there is thrown out.</li>
      <li>Plugs wiped, dried warm without a flame and put back; then as for a warm start, without the choke.</li>
    </Way>
  );
  return (
    <div className="grid gap-4 sm:grid-cols-2">
      {c.first === 'plugs out' ? [plugs, turning] : [turning, plugs]}
      <p className="text-[14px] text-soft sm:col-span-2">
        {c.first === 'plugs out'
          ? `Plugs first here: turning it over alone would take more of ${c.pulls === null ? 'battery and starter' : 'an arm'} than it should give. `
          : 'If it does not catch by then, the plugs are wet through: take them out. '}
        Cleared is not mended: what drowned it is still there.
      </p>
    </div>
  );
}

const Way = ({ title, children }: { title: string; children: React.ReactNode }) => (
  <section aria-label={title}>
    <h3 className="font-semibold">{title}</h3>
    <ol className="list-decimal pl-6 text-[15px]">{children}</ol>
  </section>
);
