import { CloudOff, HardDrive, KeyRound, TriangleAlert, Upload } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { useLink } from './link.ts';
import { useOutbox, useOutboxTrouble } from './outbox.ts';

const counted = (n: number) => `${n} ${n === 1 ? 'entry' : 'entries'}`;
const LINK = 'inline-flex min-h-12 shrink-0 items-center font-semibold underline';

/** Whether the workshop can be reached, and what waits to go up; stays in sight. */
export function LinkBanner() {
  const link = useLink();
  const entries = useOutbox();
  // As whoever entered it counts: a caution that was read waits as well, and is no entry of his.
  const waiting = entries.filter((e) => e.state === 'waiting' && e.path !== '/cares').length;
  const asked = entries.filter((e) => e.state !== 'waiting').length;
  const trouble = useOutboxTrouble();
  return (
    <div role="status" aria-live="polite" className="no-print sticky top-0 z-10">
      {link === 'gone' && (
        <Line icon={<CloudOff aria-hidden className="size-5 shrink-0" />} to={waiting > 0 ? <Show /> : undefined}>
          No connection to the workshop. Tracing goes on; what you enter is kept here
          {waiting > 0 && `: ${counted(waiting)} ${waiting === 1 ? 'waits' : 'wait'}`}.
        </Line>
      )}
      {link === 'not let in' && (
        <Line
          icon={<KeyRound aria-hidden className="size-5 shrink-0" />}
          to={
            <a className={LINK} href="/enter.html">
              Give the shop key
            </a>
          }
        >
          This device has not been let in, or was put out. What you entered is kept here.
        </Line>
      )}
      {trouble === 'cannot keep' && (
        <Line icon={<HardDrive aria-hidden className="size-5 shrink-0" />}>
          This browser’s storage is full: nothing can be kept here.
          {waiting > 0 && ` ${counted(waiting)} not gone up yet: leave this page open.`} Free some space on the device.
        </Line>
      )}
      {trouble === 'disk full' && (
        <Line icon={<HardDrive aria-hidden className="size-5 shrink-0" />} to={waiting > 0 ? <Show /> : undefined}>
          The disk of the workshop is full. What you enter is kept here and goes up once there is room.
        </Line>
      )}
      {link === 'here' && waiting > 0 && trouble === undefined && (
        <Line icon={<Upload aria-hidden className="size-5 shrink-0" />} calm>
          {counted(waiting)} going up.
        </Line>
      )}
      {asked > 0 && (
        <Line icon={<TriangleAlert aria-hidden className="size-5 shrink-0" />} to={<Show />}>
          {counted(asked)} could not go up as {asked === 1 ? 'it is' : 'they are'}.
        </Line>
      )}
    </div>
  );
}

function Line({ icon, children, to, calm }: { icon: ReactNode; children: ReactNode; to?: ReactNode; calm?: boolean }) {
  return (
    <p
      className={`flex items-center gap-3 border-b border-rule px-4 py-1.5 text-[15px] leading-snug ${calm ? 'bg-sunk' : 'bg-warn-wash text-warn'}`}
    >
      {icon}
      <span className="grow">{children}</span>
      {to}
    </p>
  );
}

const Show = () => (
  <Link className={LINK} to="/waiting">
    Show what waits
  </Link>
);
