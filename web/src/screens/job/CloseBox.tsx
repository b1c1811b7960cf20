import type { Confirm } from '@pondu/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useJobWrites } from '../../api/hooks.ts';
import { problemOf } from '../../api/problem.ts';
import { useDraft } from '../../draft/useDraft.ts';
import { Button } from '../../ui/Button.tsx';
import { TextField } from '../../ui/Field.tsx';
import { SEEN_TO } from '../../words/proofs.ts';
import { useSheet } from '../setUp/useSheet.ts';
import type { JobPlace } from './place.ts';

/** What somebody must see to that no reading shows, ticked by hand. */
export function SeenTo({ place: { stored }, seenTo }: { place: JobPlace; seenTo: readonly Confirm[] }) {
  const { sheet, save } = useSheet(stored, 'prove', { kind: 'prove', confirmed: [] });
  if (seenTo.length === 0) return null;
  return (
    <section className="card p-4" aria-label="Seen to">
      <h2 className="text-lg">Seen to</h2>
      <ul>
        {seenTo.map(({ id, done }) => (
          <li key={id}>
            <label className="flex min-h-12 items-center gap-3">
              <input
                type="checkbox"
                className="size-6 shrink-0"
                checked={done}
                onChange={(e) =>
                  void save({
                    ...sheet,
                    confirmed: e.target.checked ? [...sheet.confirmed, id] : sheet.confirmed.filter((c) => c !== id),
                  })
                }
              />
              <span>
                {SEEN_TO[id].label}
                <span className="block text-[13.5px] text-soft">{SEEN_TO[id].help}</span>
              </span>
            </label>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Closes the job: as proved, or as not proved with the reason. */
export function CloseBox({ place: { stored }, proven }: { place: JobPlace; proven: boolean }) {
  const [because, setBecause, clear] = useDraft(`${stored.id}.because`, '');
  const [error, setError] = useState<string>();
  const write = useJobWrites(stored);
  const go = useNavigate();
  async function close() {
    try {
      await write('POST', '/close', { because: proven ? '' : because });
      clear();
      void go(`/jobs/${stored.id}/card`);
    } catch (caught) {
      const refusal = problemOf(caught);
      setError(refusal.fields[0]?.message ?? refusal.message);
    }
  }
  return (
    <section className="card grid gap-3 p-4" aria-label="Close">
      {proven ? (
        <p className="font-semibold text-well">Everything is proved.</p>
      ) : (
        <TextField
          label="Not everything is proved. Close it all the same, because"
          value={because}
          error={error}
          onChange={(e) => setBecause(e.target.value)}
        />
      )}
      <Button look={proven ? 'do' : 'plain'} onClick={() => void close()}>
        Close the job
      </Button>
      {proven && error && (
        <p role="alert" className="text-danger">
          {error}
        </p>
      )}
    </section>
  );
}
