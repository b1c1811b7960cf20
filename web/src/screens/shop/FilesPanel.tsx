import { useRef, useState } from 'react';
import { useSWRConfig } from 'swr';
import { upload } from '../../api/client.ts';
import { useBackups } from '../../api/hooks.ts';
import { problemOf } from '../../api/problem.ts';
import { Button } from '../../ui/Button.tsx';

interface Imported {
  machines: number;
  jobs: number;
  skipped: string[];
}

const MOST_SHOWN = 5;
const namesOf = (names: readonly string[]): string =>
  names.length > MOST_SHOWN
    ? `${names.slice(0, MOST_SHOWN).join(', ')} and ${names.length - MOST_SHOWN} more`
    : names.join(', ');

/** Open files in and out, and a copy of the data. */
export function FilesPanel() {
  const input = useRef<HTMLInputElement>(null);
  const [said, setSaid] = useState<{ bad: boolean; lines: string[] }>();
  const { mutate } = useSWRConfig();

  async function read(file: File) {
    setSaid({ bad: false, lines: [`Reading ${file.name}…`] });
    try {
      const done = await upload<Imported>('/import', file);
      const lines = [
        `Read ${done.machines} ${done.machines === 1 ? 'machine' : 'machines'} and ${done.jobs} ${done.jobs === 1 ? 'job' : 'jobs'}.`,
      ];
      if (done.skipped.length) lines.push(`Here already and left as they are: ${namesOf(done.skipped)}.`);
      setSaid({ bad: false, lines });
      await mutate(() => true);
    } catch (error) {
      const refusal = problemOf(error);
      const fields = refusal.fields.slice(0, MOST_SHOWN).map((f) => `${f.field || file.name}: ${f.message}`);
      const others = (refusal.count ?? 0) - fields.length;
      setSaid({
        bad: true,
        lines: [
          `${file.name} was not read, and nothing was changed.`,
          ...(fields.length ? fields : [refusal.message]),
          ...(others > 0 ? [`And ${others} more like these.`] : []),
        ],
      });
    }
  }
  return (
    <section className="card grid content-start gap-3 p-4" aria-label="Files">
      <h2 className="text-xl">Files</h2>
      <p>
        Machines and jobs as open <code>.pondu.json</code> files; readings as CSV from a job’s API; the whole data as
        one SQLite file.
      </p>
      <div className="flex flex-wrap gap-2">
        <FileLink href="/api/export">Save everything as a file</FileLink>
        <FileLink href="/api/backup.sqlite">Back up the data</FileLink>
        <Button onClick={() => input.current?.click()}>Read a file…</Button>
        <input
          ref={input}
          type="file"
          accept=".json,application/json"
          className="sr-only"
          tabIndex={-1}
          aria-label="File to read"
          onChange={(e) => {
            const file = e.target.files?.[0];
            e.target.value = '';
            if (file) void read(file);
          }}
        />
      </div>
      <Copies />
      {said && (
        <ul
          role={said.bad ? 'alert' : 'status'}
          className={said.bad ? 'font-medium text-danger' : 'font-medium text-well'}
        >
          {said.lines.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      )}
    </section>
  );
}

const MEGABYTE = 1024 * 1024;
const day = (at: string): string => new Date(at).toLocaleDateString(undefined, { dateStyle: 'medium' });

/** Copies that are made by themselves: how many, how large, and how to put one back. */
function Copies() {
  const { data } = useBackups();
  if (!data) return null;
  const [last] = data.backups;
  const megabytes = data.backups.reduce((sum, b) => sum + b.bytes, 0) / MEGABYTE;
  return (
    <div className="grid gap-1 text-[15px]">
      {data.failed !== null && (
        <p role="alert" className="font-medium text-danger">
          The last copy could not be made: {data.failed}. Older ones are kept.
        </p>
      )}
      <p>
        {last
          ? `A copy is made each day and before each upgrade; ${data.backups.length} ${data.backups.length === 1 ? 'is' : 'are'} kept (${megabytes.toFixed(1)} MB), the last of ${day(last.at)}.`
          : 'A copy is made each day and before each upgrade; there is none yet.'}
      </p>
      <p className="text-soft">
        They lie in <code className="break-all">{data.folder}</code>. Stop Pondu and run{' '}
        <code>npm run restore -- FILE</code> to put one back. Take one to another disk now and then.
      </p>
    </div>
  );
}

function FileLink({ href, children }: { href: string; children: string }) {
  return (
    <a
      href={href}
      download
      className="inline-flex min-h-12 items-center rounded-lg border-[1.5px] border-soft px-4 hover:bg-sunk"
    >
      {children}
    </a>
  );
}
