import { CloudOff, KeyRound, Upload } from 'lucide-react';
import { Link } from 'react-router';
import { useLink } from './link.ts';
import { useOutbox } from './outbox.ts';

const counted = (n: number) => `${n} ${n === 1 ? 'entry' : 'entries'}`;

/** Whether the workshop can be reached, and what waits to go up. */
export function LinkBanner() {
  const link = useLink();
  const entries = useOutbox();
  const waiting = entries.filter((e) => e.state === 'waiting').length;
  const asked = entries.length - waiting;
  return (
    <div role="status" aria-live="polite" className="no-print">
      {link === 'gone' && (
        <p className="flex flex-wrap items-center gap-x-2 bg-warn-wash px-4 py-1 text-[15px] text-warn">
          <CloudOff aria-hidden className="size-5 shrink-0" /> No connection to the workshop. Tracing goes on; what you
          enter is kept here{waiting > 0 && `: ${counted(waiting)} ${waiting === 1 ? 'waits' : 'wait'}`}.
          {entries.length > 0 && <Show />}
        </p>
      )}
      {link === 'not let in' && (
        <p className="flex flex-wrap items-center gap-x-2 bg-warn-wash px-4 py-1 text-[15px] text-warn">
          <KeyRound aria-hidden className="size-5 shrink-0" /> This device has not been let in, or was put out. What you
          entered is kept here.
          <a className="inline-flex min-h-12 items-center font-semibold underline" href="/enter.html">
            Give the shop key
          </a>
        </p>
      )}
      {link === 'here' && waiting > 0 && (
        <p className="flex items-center gap-x-2 bg-sunk px-4 py-1 text-[15px]">
          <Upload aria-hidden className="size-5 shrink-0" /> {counted(waiting)} going up.
        </p>
      )}
      {asked > 0 && (
        <p className="flex flex-wrap items-center gap-x-2 bg-warn-wash px-4 py-1 text-[15px] font-semibold text-warn">
          {counted(asked)} could not go up as {asked === 1 ? 'it is' : 'they are'}. <Show />
        </p>
      )}
    </div>
  );
}

const Show = () => (
  <Link className="inline-flex min-h-12 items-center font-semibold underline" to="/waiting">
    Show what waits
  </Link>
);
