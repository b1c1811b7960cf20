import { useEffect, useRef } from 'react';
import { Tabs } from 'radix-ui';
import { useSearchParams } from 'react-router';
import { useDraft } from '../../draft/useDraft.ts';
import { useModel, useSetUp, useSparkBench } from '../../tracer/useTracer.ts';
import { Button } from '../../ui/Button.tsx';
import { Failed, Loading } from '../../ui/States.tsx';
import { CarburettorBench } from '../setUp/CarburettorBench.tsx';
import { AbreastBench } from '../setUp/AbreastBench.tsx';
import { BatteryBench } from '../setUp/BatteryBench.tsx';
import { ChargingBench } from '../setUp/ChargingBench.tsx';
import { DrainBench } from '../setUp/DrainBench.tsx';
import { CoilBench, triedOf } from '../setUp/CoilBench.tsx';
import { GaugePicture } from '../setUp/GaugePicture.tsx';
import { EdgeBench } from '../setUp/EdgeBench.tsx';
import { FastenersBench } from '../setUp/FastenersBench.tsx';
import { TipsPart } from '../setUp/TipsPart.tsx';
import { OilPart } from '../setUp/OilPart.tsx';
import { LeadsBench } from '../setUp/LeadsBench.tsx';
import { PointsBench } from '../setUp/PointsBench.tsx';
import { RoadBench } from '../setUp/RoadBench.tsx';
import { SheetBench } from '../setUp/SheetBench.tsx';
import { TimingBench } from '../setUp/TimingBench.tsx';
import { TimingUntold } from '../setUp/TimingUntold.tsx';
import { TopBench } from '../setUp/TopBench.tsx';
import { ValvesBench } from '../setUp/ValvesBench.tsx';
import { BenchCare } from './Cautions.tsx';
import type { JobPlace } from './place.ts';
import { SnagPanel } from './SnagPanel.tsx';
import { useMoveOn } from './useMoveOn.ts';

interface Bench {
  id: string;
  label: string;
  shown: React.ReactNode;
}
const NONE: Readonly<Record<string, string>> = {};

/** The setting bench: each of its sheets by name, those that this machine has. */
export function SetUpStage({ stored, input, machine, house }: JobPlace) {
  const [typed, setTyped] = useDraft(`${stored.id}.tried`, NONE);
  const model = useModel(machine, house);
  const moveOn = useMoveOn(stored);
  const [params, setParams] = useSearchParams();
  const setUp = useSetUp(input);
  const figures = setUp.data?.tried ?? [];
  const row = useRef<HTMLDivElement>(null);
  const ready = setUp.data !== undefined;
  // The bench that is open is in the middle of its row, whichever was asked for.
  useEffect(() => {
    const active = row.current?.querySelector<HTMLElement>('[data-state=active]');
    if (row.current && active)
      row.current.scrollLeft = active.offsetLeft - (row.current.clientWidth - active.offsetWidth) / 2;
  }, [params, ready]);
  const bench = useSparkBench(machine, house, triedOf(typed, figures));
  const error = setUp.error ?? bench.error;
  if (error) return <Failed error={error} />;
  if (!setUp.data) return <Loading what="Opening the set-up sheet" />;
  const view = { ...setUp.data, bench: bench.data ?? setUp.data.bench };
  const gauge = model.data?.checks.find(
    (c) => c.check.instrument === 'pressure gauge' && c.check.station.startsWith('air'),
  )?.check.id;
  const benches: Bench[] = [
    { id: 'sheet', label: 'Found and left', shown: <SheetBench stored={stored} settings={view.settings} /> },
    ...(view.points
      ? [
          {
            id: 'points',
            label: 'Points',
            shown: (
              <PointsBench
                stored={stored}
                machine={machine}
                plate={view.points}
                topRpm={view.bench?.rows.at(-1)?.rpm}
              />
            ),
          },
        ]
      : []),
    ...(view.bench
      ? [
          {
            id: 'coil',
            label: 'Coil and plugs',
            shown: (
              <div className="grid gap-5">
                <CoilBench bench={view.bench} figures={figures} typed={typed} setTyped={setTyped} />
                <TipsPart stored={stored} cylinders={machine.fitOut.cylinders} />
              </div>
            ),
          },
        ]
      : []),
    ...(view.cap
      ? [{ id: 'leads', label: 'Firing order', shown: <LeadsBench stored={stored} machine={machine} /> }]
      : []),
    ...(view.timing || view.bench
      ? [
          {
            id: 'timing',
            label: 'Timing',
            shown: view.timing ? (
              <TimingBench stored={stored} timing={view.timing} />
            ) : (
              <TimingUntold machineId={stored.machineId} />
            ),
          },
          { id: 'road', label: 'Road test', shown: <RoadBench stored={stored} house={house} /> },
        ]
      : []),
    ...(view.edge ? [{ id: 'edge', label: 'Edge gap', shown: <EdgeBench jobId={stored.id} edge={view.edge} /> }] : []),
    {
      id: 'top',
      label: 'Top, rim, piston',
      shown: <TopBench stored={stored} machine={machine} parts={view.parts} markOff={view.timing?.markOff ?? 0} />,
    },
    ...(view.valves
      ? [{ id: 'valves', label: 'Valves', shown: <ValvesBench stored={stored} machine={machine} /> }]
      : []),
    ...(view.carburettors > 0
      ? [
          {
            id: 'carburettor',
            label: 'Carburettor',
            shown: (
              <CarburettorBench
                stored={stored}
                steps={view.steps}
                carburettors={view.carburettors}
                altitude={machine.fitOut.altitudeMetres}
                gauge={
                  gauge && <GaugePicture stored={stored} input={input} check={gauge} faults={model.data!.faults} />
                }
              />
            ),
          },
        ]
      : []),
    ...(view.oiled ? [{ id: 'oil', label: 'Oil in the fuel', shown: <OilPart jobId={stored.id} /> }] : []),
    ...(view.charges
      ? [
          { id: 'charging', label: 'Charging', shown: <ChargingBench stored={stored} machine={machine} /> },
          {
            id: 'drain',
            label: 'Drain at rest',
            shown: <DrainBench stored={stored} machine={machine} ampHours={model.data?.balance?.ampHours} />,
          },
        ]
      : []),
    ...(view.battery
      ? [
          {
            id: 'battery',
            label: 'Battery and wires',
            shown: <BatteryBench stored={stored} machine={machine} ampHours={model.data?.balance?.ampHours} />,
          },
        ]
      : []),
    ...(machine.kind === 'boat'
      ? [{ id: 'abreast', label: 'Two engines', shown: <AbreastBench jobId={stored.id} machine={machine} /> }]
      : []),
    { id: 'fasteners', label: 'Tightening', shown: <FastenersBench jobId={stored.id} /> },
  ];
  const asked = params.get('bench');
  const chosen = benches.some((b) => b.id === asked) ? asked! : 'sheet';
  return (
    <div className="grid gap-3 p-3 sm:p-5 lg:grid-cols-[minmax(0,1fr)_320px]">
      <Tabs.Root
        value={chosen}
        onValueChange={(id) => setParams({ bench: id }, { replace: true })}
        className="card min-w-0 p-4"
      >
        <h2 className="text-xl">Set it up</h2>
        {/* On a phone one row that is pushed along, so that the bench itself is in view. */}
        <Tabs.List
          ref={row}
          aria-label="Benches"
          className="no-print relative -mx-1 my-2 flex gap-1.5 overflow-x-auto p-1 sm:flex-wrap"
        >
          {benches.map((b) => (
            <Tabs.Trigger
              key={b.id}
              value={b.id}
              className="min-h-12 shrink-0 rounded-lg border-[1.5px] border-soft px-3 text-[15px] hover:bg-sunk data-[state=active]:border-ink data-[state=active]:bg-ink data-[state=active]:text-panel"
            >
              {b.label}
            </Tabs.Trigger>
          ))}
        </Tabs.List>
        {benches.map((b) => (
          <Tabs.Content key={b.id} value={b.id} aria-label={b.label}>
            <BenchCare stored={stored} ids={view.cautions[b.id] ?? []} about={b.id} />
            {b.shown}
          </Tabs.Content>
        ))}
      </Tabs.Root>
      <div className="no-print grid content-start gap-3">
        <SnagPanel stored={stored} />
        <Button look="do" onClick={() => void moveOn('prove')}>
          Go on: prove it
        </Button>
      </div>
    </div>
  );
}
