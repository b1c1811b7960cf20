import {
  entryOf,
  readTyped,
  type CheckView,
  type Conditions,
  type FreeProbe,
  type JobEvent,
  type Reading,
  type ReadingValue,
} from '@pondu/core';
import { useEffect, useState } from 'react';
import { v4 as uuid } from 'uuid';
import { toast } from 'sonner';
import { useSWRConfig } from 'swr';
import { useJobWrites } from '../../api/hooks.ts';
import { problemOf } from '../../api/problem.ts';
import { useDraft } from '../../draft/useDraft.ts';
import { inGaugeUnit, useGaugeUnit, type GaugeUnit } from '../../ruler/gaugeUnit.ts';
import { meant } from '../../units/quantity.ts';
import { failureWords } from '../../words/failures.ts';
import { useModel } from '../../tracer/useTracer.ts';
import type { JobInput } from '../../tracer/worker.ts';
import type { JobPlace } from './place.ts';

interface Options {
  place: JobPlace;
  now: Conditions;
  checkId: string | undefined;
  /** A check that the machine does not list: what it shows, and where its leads are. */
  free?: { check: CheckView; probe: FreeProbe } | undefined;
  correcting: string | undefined;
  /** Its gauge shows vacuum. */
  below?: boolean;
  /** The first sign of a reading for this check. */
  begun?: () => void;
  saved: () => void;
}

export interface ReadingEntry {
  typed: string;
  setTyped: (text: string) => void;
  conditions: Conditions;
  setConditions: (conditions: Conditions) => void;
  note: string;
  setNote: (text: string) => void;
  /** The unit that gauges are read in: a bare number is in it. */
  gaugeUnit: GaugeUnit;
  setGaugeUnit: (unit: GaugeUnit) => void;
  value: ReadingValue | undefined;
  error: string | undefined;
  /** The reading is far off: asked once whether it may stand. */
  absurd: boolean;
  saving: boolean;
  correcting: string | undefined;
  save: (confirmed?: boolean) => void;
  /** It told nothing: the check is left, and another one asked for. */
  setAside: () => void;
  /** The job with the reading that is being typed, to show what it would change. */
  previewInput: JobInput | undefined;
}

/** What was sent from a box, under which id: kept with the box until it is emptied. */
interface OnItsWay {
  id: string;
  said: string;
  typed: string;
}

/** Where what is typed for a check of a job is kept until it is saved. */
export const draftKeyOf = (jobId: string, checkId: string | undefined, correcting: string | undefined): string =>
  `${jobId}.${checkId ?? ''}.${correcting ?? ''}`;

/** Reads what is typed for a check, in the check's own terms. */
function parse(check: CheckView | undefined, typed: string): { value?: ReadingValue; error?: string } {
  if (!check || typed.trim() === '') return {};
  if (check.dimension === null) return check.words.includes(typed) ? { value: { kind: 'word', word: typed } } : {};
  const read = readTyped(check, typed);
  return read.ok ? { value: read.value } : { error: failureWords(read.failure) };
}

/** What is typed with the unit that a bare number is meant in, which is kept with it. */
const saidOf = (check: CheckView | undefined, typed: string, gaugeUnit: GaugeUnit, below: boolean): string => {
  if (!check || check.dimension === null) return typed;
  return check.dimension === 'pressure' ? inGaugeUnit(typed, gaugeUnit, below) : meant(typed, check.dimension);
};

/** One reading on its way in: the draft, what it would change, the saving, and everything that can go wrong with it. */
export function useReadingEntry({
  place,
  now,
  checkId,
  free,
  correcting,
  below = false,
  begun,
  saved,
}: Options): ReadingEntry {
  const { stored, machine, house, input } = place;
  const draftKey = draftKeyOf(stored.id, checkId, correcting);
  const [typed, setTyped, clearTyped] = useDraft(`${draftKey}.typed`, '');
  const [gaugeUnit, setGaugeUnit] = useGaugeUnit(below);
  const [note, setNote, clearNote] = useDraft(`${draftKey}.note`, '');
  const [onItsWay, setOnItsWay, clearOnItsWay] = useDraft<OnItsWay | null>(`${draftKey}.sent`, null);
  const [chosen, setConditions] = useState<Conditions>();
  const conditions = chosen ?? now;
  const [problem, setProblem] = useState<{ key: string; text: string; absurd: boolean }>();
  const [saving, setSaving] = useState(false);
  const model = useModel(machine, house);
  const write = useJobWrites(stored);
  const { mutate } = useSWRConfig();

  const check = free?.check ?? model.data?.checks.find((c) => c.check.id === checkId)?.check;
  const probe = free?.probe;
  const said = saidOf(check, typed, gaugeUnit, below);
  const { value, error } = parse(check, said);
  const own = problem?.key === draftKey + typed ? problem : undefined;

  const emptied = () => {
    clearTyped();
    clearNote();
    clearOnItsWay();
  };
  // The page was left as it was sent: it is in the job, though its box was not emptied any more.
  const arrived =
    !saving && onItsWay?.typed === typed && stored.events.some((e) => entryOf(e).id === onItsWay.id) && typed !== '';
  useEffect(() => {
    if (arrived) emptied();
    // eslint-disable-next-line react-hooks/exhaustive-deps -- emptied once, as it is seen to have arrived
  }, [arrived]);

  /** Sends what was entered; what is refused stays in its box, with why. Sent again as it is, it is the same entry. */
  async function enter(path: string, body: Record<string, unknown>) {
    const said = JSON.stringify([path, body]);
    const id = onItsWay?.said === said ? onItsWay.id : uuid();
    setOnItsWay({ id, said, typed });
    setSaving(true);
    try {
      await write('POST', path, { ...body, id });
      emptied();
      setProblem(undefined);
      setConditions(undefined);
      saved();
    } catch (caught) {
      const refusal = problemOf(caught);
      if (refusal.stale) await mutate(`/jobs/${stored.id}`);
      if (refusal.stale || refusal.unreachable) toast.error(refusal.message);
      setProblem({
        key: draftKey + typed,
        text: refusal.fields[0]?.message ?? refusal.message,
        absurd: refusal.code === 'absurd',
      });
    } finally {
      setSaving(false);
    }
  }

  async function send(confirmed: boolean) {
    if (!check) return;
    if (!value)
      return setProblem({
        key: draftKey + typed,
        text: check.dimension ? 'Type the reading.' : 'Pick what it showed.',
        absurd: false,
      });
    await enter('/readings', {
      checkId: check.id,
      typed: said,
      value,
      note,
      confirmed,
      ...conditions,
      ...(correcting ? { supersedes: correcting } : {}),
      ...(probe ? { probe } : {}),
    });
  }

  return {
    gaugeUnit,
    setGaugeUnit,
    typed,
    setTyped: (text) => {
      if (typed === '') begun?.();
      setTyped(text);
    },
    conditions,
    setConditions,
    note,
    setNote,
    value,
    error: error ?? own?.text,
    absurd: own?.absurd ?? false,
    saving,
    correcting,
    save: (confirmed = false) => void send(confirmed),
    setAside: () => void (check && enter('/asides', { checkId: check.id, note })),
    previewInput:
      value && check
        ? { ...input, events: [...input.events, typedEvent(check, value, conditions, correcting, probe)] }
        : undefined,
  };
}

function typedEvent(
  check: CheckView,
  value: ReadingValue,
  conditions: Conditions,
  correcting: string | undefined,
  probe: FreeProbe | undefined,
): JobEvent {
  const reading: Reading = {
    ...conditions,
    id: 'being-typed',
    checkId: check.id,
    value,
    typed: '',
    note: '',
    at: '2000-01-01T00:00:00Z',
    ...(correcting ? { supersedes: correcting } : {}),
    ...(probe ? { probe } : {}),
  };
  return { type: 'reading', reading };
}
