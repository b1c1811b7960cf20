import { photosOf, type ModelView, type Photo, type Pin } from '@pondu/core';
import { Camera } from 'lucide-react';
import { useId, useState } from 'react';
import { toast } from 'sonner';
import { useSWRConfig } from 'swr';
import { v4 as uuid } from 'uuid';
import { useJobWrites } from '../../api/hooks.ts';
import { problemOf } from '../../api/problem.ts';
import type { StoredJob } from '../../api/types.ts';
import { useDraft } from '../../draft/useDraft.ts';
import { outbox, type Draft } from '../../offline/outbox.ts';
import { Button } from '../../ui/Button.tsx';
import { SelectField, TextField } from '../../ui/Field.tsx';
import { Folded } from '../../ui/Folded.tsx';
import { PinnedPicture } from './PinnedPicture.tsx';
import { shrink } from './shrink.ts';

interface Props {
  stored: StoredJob;
  stations: ModelView['stations'];
  /** Shown at once where there are any; else folded away. */
  unfolded?: boolean;
}

/** Before it comes apart: photos at their stations, with pins and words; without a signal they wait here. */
export function PhotosPanel({ stored, stations, unfolded = false }: Props) {
  const photos = photosOf(stored.events);
  const [errors, setErrors] = useState<string[]>([]);
  const [busy, setBusy] = useState(false);
  const [open, setOpen] = useState<string>();
  const write = useJobWrites(stored);
  const { mutate } = useSWRConfig();
  const id = useId();

  async function send(draft: Pick<Draft, 'method' | 'path' | 'body' | 'blob'>) {
    const sent = await outbox.enter({ ...draft, jobId: stored.id, version: undefined });
    if (sent.state === 'sent') await mutate(`/jobs/${stored.id}`, sent.job, { revalidate: false });
  }
  async function take(files: readonly File[]) {
    setBusy(true);
    const wrong: string[] = [];
    for (const file of files) {
      const small = await shrink(file);
      if (!small.ok) {
        wrong.push(small.message);
        continue;
      }
      const picture = uuid();
      try {
        // The picture first: what is said of it never stands without one.
        await send({ method: 'PUT', path: `/pictures/${picture}`, body: {}, blob: small.blob });
        await send({ method: 'POST', path: '/photos', body: { ...EMPTY, picture } });
        setOpen(picture);
      } catch (error) {
        wrong.push(`“${file.name}”: ${problemOf(error).message}`);
      }
    }
    setErrors(wrong);
    setBusy(false);
  }
  async function say(photo: Photo, change: Partial<Photo>): Promise<boolean> {
    const { id: _id, at: _at, by: _by, ...rest } = photo;
    try {
      await write('POST', '/photos', { ...rest, ...change });
      return true;
    } catch (error) {
      toast.error(problemOf(error).message);
      return false;
    }
  }
  return (
    <Folded
      name={`Photos before it comes apart${photos.length ? `: ${photos.length}` : ''}`}
      className="card p-3"
      open={unfolded && photos.length > 0}
    >
      <div className="grid gap-3">
        <div>
          <label
            htmlFor={id}
            className="inline-flex min-h-12 cursor-pointer items-center gap-2 rounded-lg border-[1.5px] border-soft bg-panel px-4 focus-within:outline-2 hover:bg-sunk"
          >
            <Camera aria-hidden className="size-5" /> {busy ? 'Taking it in…' : 'Take or choose a photo'}
          </label>
          <input
            id={id}
            type="file"
            multiple
            accept="image/jpeg,image/png,image/webp"
            className="sr-only"
            onChange={(e) => {
              const files = [...(e.target.files ?? [])];
              e.target.value = '';
              void take(files);
            }}
          />
        </div>
        {errors.map((e) => (
          <p key={e} role="alert" className="font-medium text-danger">
            {e}
          </p>
        ))}
        <ul className="grid gap-3">
          {photos.map((photo) => (
            <li key={photo.picture} className="border-t border-rule pt-3">
              <PhotoRow
                jobId={stored.id}
                photo={photo}
                stations={stations}
                open={open === photo.picture}
                onOpen={(o) => setOpen(o ? photo.picture : undefined)}
                onSay={(change) => say(photo, change)}
              />
            </li>
          ))}
        </ul>
      </div>
    </Folded>
  );
}

const EMPTY = { station: '', words: '', pins: [] as Pin[], onCard: false, gone: false };

interface RowProps {
  jobId: string;
  photo: Photo;
  stations: ModelView['stations'];
  open: boolean;
  onOpen: (open: boolean) => void;
  /** Whether it was said. */
  onSay: (change: Partial<Photo>) => Promise<boolean>;
}

/** What is said of a photo, as it is being written. */
type Said = Pick<Photo, 'words' | 'station' | 'pins'>;

function PhotoRow({ jobId, photo, stations, open, onOpen, onSay }: RowProps) {
  // Kept until it is saved: a tick made meanwhile, a reload or another device changes nothing of it.
  const [draft, setDraft, clearDraft] = useDraft<Said | null>(`${jobId}.photo.${photo.picture}`, null);
  const said: Said = { words: photo.words, station: photo.station, pins: photo.pins };
  const { words, station, pins } = draft ?? said;
  const write = (change: Partial<Said>) => setDraft({ ...said, ...draft, ...change });
  const setPins = (fresh: Pin[]) => write({ pins: fresh });
  const changed = draft !== null && JSON.stringify(draft) !== JSON.stringify(said);
  const label = stations.find((s) => s.id === photo.station)?.label;
  return (
    <div className="grid gap-2">
      <PinnedPicture
        jobId={jobId}
        photo={photo}
        pins={pins}
        {...(open ? { onPick: (x: number, y: number) => setPins([...pins, { x, y, words: '' }]) } : {})}
      />
      <p>
        {photo.words || <span className="text-soft">no words yet</span>} {label && <span className="tag">{label}</span>}
      </p>
      {!open && photo.pins.length > 0 && (
        <ol className="list-decimal pl-6 text-[15px]">
          {photo.pins.map((p, k) => (
            <li key={k}>{p.words}</li>
          ))}
        </ol>
      )}
      {open && (
        <div className="grid gap-2 sm:grid-cols-2">
          <TextField
            label="What it shows"
            value={words}
            maxLength={400}
            onChange={(e) => write({ words: e.target.value })}
          />
          <SelectField
            label="At"
            value={station}
            options={[{ value: '', label: 'no station' }, ...stations.map((s) => ({ value: s.id, label: s.label }))]}
            onChange={(fresh) => write({ station: fresh })}
          />
          {pins.map((p, k) => (
            <div key={k} className="flex items-end gap-2">
              <div className="grow">
                <TextField
                  label={`Pin ${k + 1}: wire to terminal, which way it points`}
                  value={p.words}
                  maxLength={120}
                  onChange={(e) => setPins(pins.map((q, i) => (i === k ? { ...q, words: e.target.value } : q)))}
                />
              </div>
              <Button aria-label={`Take pin ${k + 1} off`} onClick={() => setPins(pins.filter((_q, i) => i !== k))}>
                Off
              </Button>
            </div>
          ))}
          <p className="text-[14px] text-soft sm:col-span-2">
            Touch the picture where a pin belongs, or{' '}
            <Button look="quiet" onClick={() => setPins([...pins, { x: 0.5, y: 0.5, words: '' }])}>
              put one in its middle
            </Button>
          </p>
        </div>
      )}
      <div className="flex flex-wrap items-center gap-2">
        {open && (
          <Button
            look="do"
            disabled={!changed}
            onClick={() => void onSay({ words, station, pins }).then((done) => (done ? clearDraft() : undefined))}
          >
            Save the words
          </Button>
        )}
        <Button onClick={() => onOpen(!open)} aria-expanded={open}>
          {open ? 'Fold' : 'Words and pins'}
        </Button>
        <label className="flex min-h-12 items-center gap-2">
          <input
            type="checkbox"
            className="size-6"
            checked={photo.onCard}
            onChange={(e) => void onSay({ onCard: e.target.checked })}
          />
          On the card
        </label>
        <Button look="quiet" onClick={() => void onSay({ gone: true })}>
          Take away
        </Button>
      </div>
    </div>
  );
}
