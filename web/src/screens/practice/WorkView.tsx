import { freeProbeId, mannerOfProbe, type CheckView, type FreeProbe, type StoredLesson } from '@pondu/core';
import { Clock, Coins, Thermometer } from 'lucide-react';
import { Tabs } from 'radix-ui';
import { useState } from 'react';
import { useModel } from '../../tracer/useTracer.ts';
import { TrailMap } from '../../trailMap/TrailMap.tsx';
import { Failed, Loading } from '../../ui/States.tsx';
import { showQuantity } from '../../units/quantity.ts';
import { minutesWords, moneyWords } from '../../words/belief.ts';
import { complaintWords } from '../../words/complaint.ts';
import { twistWords } from '../../words/practice.ts';
import { TRAIL_LABELS } from '../../words/trails.ts';
import { ProbePanel } from '../job/ProbePanel.tsx';
import { ProbePicker } from '../job/ProbePicker.tsx';
import { useProbing } from '../job/useProbing.ts';
import { ActionsPanel } from './ActionsPanel.tsx';
import { CheckChoice } from './CheckChoice.tsx';
import { CheckPanel } from './CheckPanel.tsx';
import { MovesLog } from './MovesLog.tsx';
import { useLessonPlay } from './useLessonPlay.ts';

/** What is in hand: a check that the machine lists, or leads put anywhere. */
export interface InHand {
  readonly checkId: string;
  readonly probe?: FreeProbe;
}

/** The work: look, measure, wait, ask, fit; nothing is advised unless it is asked for. */
export function WorkView({ stored }: { stored: StoredLesson }) {
  const { lesson, moves, view } = stored;
  const { machine, house } = lesson;
  const model = useModel(machine, house);
  const play = useLessonPlay(stored);
  const probing = useProbing(`practice.${stored.id}`);
  const [station, setStation] = useState<string>();
  const [inHand, setInHand] = useState<InHand>();
  if (model.error) return <Failed error={model.error} />;
  if (!model.data) return <Loading what="Looking the machine over" />;
  const checks = model.data.checks.filter((c) => c.owned).map((c) => c.check);
  const known = inHand && checks.find((c) => c.id === inHand.checkId);
  const chosen: CheckView | undefined = known ?? (inHand?.probe ? probeCheck(inHand.checkId, inHand.probe) : undefined);
  const choose = (checkId: string) => setInHand({ checkId });
  const probeAt = (probe: FreeProbe) => setInHand({ checkId: freeProbeId(probe), probe });
  const tap = (s: string) => (probing.lead ? probing.tap(s) : setStation(s === station ? undefined : s));
  return (
    <div className="grid gap-3 p-2 sm:p-3 lg:grid-cols-[minmax(0,1fr)_340px]">
      <header className="flex flex-wrap items-baseline gap-x-5 gap-y-1 px-1 lg:col-span-2">
        <h1 className="text-xl">{machine.name}</h1>
        <p className="grow basis-72">
          <q>{view.complaint.words}</q>{' '}
          <span className="condensed text-[14px] text-soft">
            {complaintWords(view.complaint).toLowerCase()} · practice, {twistWords(lesson.twists)}, seed {lesson.seed}
          </span>
        </p>
        <Standing stored={stored} />
      </header>
      <section aria-label="Trails of this machine" className="card min-w-0 px-2 pb-1.5 lg:col-span-2">
        <Tabs.Root defaultValue={model.data.trails[0]!.id}>
          <Tabs.List aria-label="Trails of this machine" className="flex flex-wrap gap-1">
            {model.data.trails.map((t) => (
              <Tabs.Trigger
                key={t.id}
                value={t.id}
                className="min-h-12 border-b-[3px] border-transparent px-3 data-[state=active]:border-do data-[state=active]:font-semibold"
              >
                {TRAIL_LABELS[t.id]}
              </Tabs.Trigger>
            ))}
          </Tabs.List>
          {model.data.trails.map((t) => (
            <Tabs.Content key={t.id} value={t.id}>
              <TrailMap stations={t.stations} states={[]} selected={station} onSelect={tap} />
            </Tabs.Content>
          ))}
        </Tabs.Root>
        {probing.lead && <ProbePicker probing={probing} stations={model.data.stations} places={model.data.probing!} />}
      </section>
      <div className="grid min-w-0 content-start gap-3">
        {play.error && (
          <p role="alert" className="card p-3 font-medium text-danger">
            {play.error}
          </p>
        )}
        {chosen && inHand && <CheckPanel key={chosen.id} check={chosen} inHand={inHand} stored={stored} play={play} />}
        <CheckChoice checks={checks} stations={model.data.stations} station={station} done={moves} onChoose={choose} />
        {model.data.probing && (
          <ProbePanel
            use={probing}
            probing={model.data.probing}
            stations={model.data.stations}
            station={station}
            onProbe={probeAt}
          />
        )}
      </div>
      <div className="grid content-start gap-3">
        <ActionsPanel
          stored={stored}
          play={play}
          repairs={model.data.repairs}
          faults={model.data.faults}
          onCheck={choose}
        />
        <MovesLog stored={stored} checks={model.data.checks} />
      </div>
    </div>
  );
}

/** Leads that were put anywhere: what they read comes with the answer. */
const probeCheck = (id: string, probe: FreeProbe): CheckView => ({
  id,
  label: 'Your own probe',
  station: '',
  set: `${probe.state}${probe.unplugged.length ? ', with something unplugged' : ''}.`,
  touch: 'Leads on the two places that you picked.',
  watch: 'The steady figure.',
  instrument: probe.instrument,
  instrumentLabel: probe.instrument,
  manner: mannerOfProbe(probe),
  dimension: null,
  words: [],
  beside: null,
  plugs: 0,
  minutes: 1,
  opens: [],
  cautions: [],
  tap: null,
  look: false,
  running: false,
});

/** Minutes and money so far, and how warm it is. */
function Standing({ stored: { view, lesson } }: { stored: StoredLesson }) {
  return (
    <p className="flex flex-wrap gap-x-4 text-[15px]" aria-label="So far">
      <span className="flex items-center gap-1">
        <Clock aria-hidden className="size-4" /> <b>{minutesWords(view.minutes)}</b>
      </span>
      <span className="flex items-center gap-1">
        <Coins aria-hidden className="size-4" /> <b>{moneyWords(view.money, lesson.house.currency)}</b>
      </span>
      <span className="flex items-center gap-1">
        <Thermometer aria-hidden className="size-4" />{' '}
        <b>{showQuantity(view.celsius, 'temperature', { significant: 2 })}</b>
      </span>
    </p>
  );
}
