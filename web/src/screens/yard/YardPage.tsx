import type { CheckView } from '@pondu/core';
import { ArrowLeft, Radio } from 'lucide-react';
import { useState } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { useHouse, useJob, useMachine } from '../../api/hooks.ts';
import type { StoredJob } from '../../api/types.ts';
import { usePageTitle } from '../../app/usePageTitle.ts';
import { putDraft } from '../../draft/useDraft.ts';
import { useModel, useWells } from '../../tracer/useTracer.ts';
import { Button } from '../../ui/Button.tsx';
import { Failed, Loading } from '../../ui/States.tsx';
import { AloudButton, NoVoice } from '../../aloud/AloudButton.tsx';
import { useReadAloud } from '../../aloud/useReadAloud.ts';
import { checkAloud } from '../../words/aloud.ts';
import { Cautions } from '../job/Cautions.tsx';
import { useCare } from '../job/useCare.ts';
import { inputOf } from '../job/jobInput.ts';
import { draftKeyOf } from '../job/useReadingEntry.ts';
import { tone } from './tone.ts';
import { useSimulatedMeter } from './useSimulatedMeter.ts';
import { showBand } from '../../units/quantity.ts';

/** A machine that is somebody's secret: the same for as long as the browser keeps the number. */
function seedOf(jobId: string): number {
  let seed = 7;
  for (const letter of jobId) seed = (seed * 31 + letter.charCodeAt(0)) % 1_000_003;
  return seed;
}

/** One check in figures that can be read from eight metres, with the lowest and the highest held. */
export function YardPage() {
  const { id } = useParams();
  const [params] = useSearchParams();
  const job = useJob(id);
  const machine = useMachine(job.data?.machineId);
  const house = useHouse();
  const model = useModel(machine.data?.machine, house.data?.house);
  const go = useNavigate();
  const [measuring, setMeasuring] = useState(0);
  const checkId = params.get('check') ?? '';
  const ready = job.data && machine.data && house.data;
  const input = ready ? inputOf(job.data!, machine.data!.machine, house.data!.house) : undefined;
  const wells = useWells(input, [checkId]);
  const found = model.data?.checks.find((c) => c.check.id === checkId);
  usePageTitle('Across the yard');
  const seed = params.get('seed') ?? String(seedOf(id ?? ''));
  const fault = params.get('fault');
  const query = new URLSearchParams({ check: checkId, seed, ...(fault ? { fault } : {}), take: String(measuring) });
  const url = measuring > 0 && job.data ? `/api/machines/${job.data.machineId}/meter?${query.toString()}` : undefined;
  const held = useSimulatedMeter(url, tone);
  // Once a figure stands it is what is wanted to hear.
  const aloud = useReadAloud(held.steady?.text ?? (found ? checkAloud(found.check) : ''));

  const error = job.error ?? machine.error ?? model.error;
  if (error) return <Failed error={error} />;
  if (!job.data || !model.data) return <Loading what="Opening the view" />;
  if (!found) return <Failed error={new Error('This machine has no such check.')} />;
  const { check } = found;
  const well = wells.data?.[check.id];
  const back = `/jobs/${id}/trace?check=${check.id}`;

  function take() {
    if (!held.steady) return;
    putDraft(`${draftKeyOf(id!, check.id, undefined)}.typed`, held.steady.text.replace('−', '-'));
    void go(back);
  }
  return (
    <div className="grid min-h-[calc(100dvh-56px)] grid-rows-[auto_1fr_auto] gap-2 p-3 sm:p-5">
      <div className="flex flex-wrap items-start gap-3">
        <div className="grow basis-72">
          <h1 className="text-2xl sm:text-3xl">{check.label}</h1>
          <p className="text-lg">{check.touch}</p>
          <NoVoice aloud={aloud} />
        </div>
        <AloudButton aloud={aloud} />
        <Button onClick={() => void go(back)}>
          <ArrowLeft aria-hidden className="size-5" /> Back
        </Button>
      </div>
      <div className="grid content-center justify-items-center text-center" role="status" aria-label="Display">
        <p className="figures text-[min(24vw,15rem)] leading-none font-bold" data-display>
          {held.now?.text ?? <span className="text-[min(7vw,3.5rem)] font-medium text-soft">no reading yet</span>}
        </p>
        {check.dimension && (
          <p className="figures mt-3 flex flex-wrap justify-center gap-x-10 text-[min(7vw,3rem)] leading-tight">
            <span>
              <span className="tag">lowest</span> {held.lowest?.text ?? '–'}
            </span>
            <span>
              <span className="tag">highest</span> {held.highest?.text ?? '–'}
            </span>
          </p>
        )}
        {check.dimension && well && well.openShare < 1 && (
          <p className="mt-2 text-xl text-soft sm:text-2xl">
            when well {showBand(well.low, well.high, check.dimension)}
          </p>
        )}
        {held.lost && (
          <p role="alert" className="text-lg font-medium text-danger">
            The meter’s link was lost. Nothing was entered; measure again.
          </p>
        )}
      </div>
      <Foot
        stored={job.data}
        check={check}
        again={measuring > 0}
        onMeasure={() => setMeasuring((n) => n + 1)}
        steady={held.steady?.text}
        onTake={take}
      />
    </div>
  );
}

interface FootProps {
  stored: StoredJob;
  check: CheckView;
  again: boolean;
  onMeasure: () => void;
  /** What the meter holds still at, as it shows it. */
  steady: string | undefined;
  onTake: () => void;
}

/** The cautions, then what is pressed. */
function Foot({ stored, check, again, onMeasure, steady, onTake }: FootProps) {
  const { fresh, understand } = useCare(stored, check.cautions, check.id);
  return (
    <div className="grid gap-2">
      <Cautions ids={check.cautions} fresh={fresh} onUnderstood={understand} />
      <div className="flex flex-wrap gap-3">
        <Button className="!min-h-16 grow !text-xl" disabled={fresh.length > 0} onClick={onMeasure}>
          <Radio aria-hidden className="size-6" /> {again ? 'Measure again' : 'Measure with the simulated meter'}
        </Button>
        <Button look="do" className="!min-h-16 grow !text-xl" disabled={steady === undefined} onClick={onTake}>
          Take {steady ?? 'the reading'} back to the job
        </Button>
      </div>
      <p className="text-[14px] text-soft">
        The simulated meter stands in for a meter with a link: it plays this machine with a fault that nobody is told.
      </p>
    </div>
  );
}
