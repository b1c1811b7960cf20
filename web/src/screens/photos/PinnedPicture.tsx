import type { Photo, Pin } from '@pondu/core';
import { useEffect, useMemo } from 'react';
import { useOutbox } from '../../offline/outbox.ts';

/** Where a picture is to be had: here, while it waits to go up; else in the workshop. */
function usePictureUrl(jobId: string, picture: string): string {
  const waiting = useOutbox().find((e) => e.jobId === jobId && e.path === `/pictures/${picture}`)?.blob;
  const local = useMemo(() => (waiting ? URL.createObjectURL(waiting) : undefined), [waiting]);
  useEffect(() => () => void (local && URL.revokeObjectURL(local)), [local]);
  return local ?? `/api/jobs/${jobId}/pictures/${picture}`;
}

interface Props {
  jobId: string;
  photo: Pick<Photo, 'picture' | 'words' | 'station'>;
  pins: readonly Pin[];
  onPick?: (x: number, y: number) => void;
}

/** A photo with its numbered pins. */
export function PinnedPicture({ jobId, photo, pins, onPick }: Props) {
  const url = usePictureUrl(jobId, photo.picture);
  return (
    <div className="relative w-fit max-w-full justify-self-start">
      <img
        src={url}
        alt={photo.words || `Photo${photo.station ? ` of ${photo.station}` : ''}`}
        className={`block max-h-[60vh] max-w-full rounded ${onPick ? 'cursor-crosshair' : ''}`}
        onClick={(e) => {
          if (!onPick) return;
          const box = e.currentTarget.getBoundingClientRect();
          onPick((e.clientX - box.left) / box.width, (e.clientY - box.top) / box.height);
        }}
      />
      {pins.map((p, k) => (
        <span
          key={k}
          aria-hidden
          className="pointer-events-none absolute grid size-7 -translate-x-1/2 -translate-y-1/2 place-items-center rounded-full border-2 border-panel bg-do text-[14px] font-bold text-on-do"
          style={{ left: `${100 * p.x}%`, top: `${100 * p.y}%` }}
        >
          {k + 1}
        </span>
      ))}
    </div>
  );
}
