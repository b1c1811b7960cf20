import type { FittedPart, Wired } from '@pondu/core';
import { format } from 'date-fns';
import { Link } from 'react-router';
import { Folded } from '../../ui/Folded.tsx';
import { WayDrawing } from '../fit/WayDrawing.tsx';

/** One repair with its parts and its day, and the way to its job. */
export const FixLine = ({ fix, jobId }: FittedPart) => (
  <>
    <Link className="underline" to={`/jobs/${jobId}/card`}>
      {fix.what}
    </Link>{' '}
    <span className="text-soft">{[fix.parts, format(new Date(fix.at), 'd MMM yyyy')].filter(Boolean).join(', ')}</span>
  </>
);

/** What is no longer as it left the works: how it is wired, and its circuit where it was worked out here. */
export const Adapted = ({ fixes, ways }: { fixes: readonly FittedPart[]; ways: readonly Wired[] | undefined }) => (
  <ul className="grid gap-2 text-[15px]">
    {fixes.map(({ fix, jobId }) => {
      const wired = ways?.find((w) => w.way.id === fix.way);
      return (
        <li key={fix.id} className="border-t border-rule pt-1">
          <FixLine fix={fix} jobId={jobId} />
          {fix.wiring && (
            <p className="whitespace-pre-wrap" translate="no">
              {fix.wiring}
            </p>
          )}
          {wired && (
            <Folded name={`Its circuit: ${wired.way.label.toLowerCase()}`} open>
              <WayDrawing wired={wired} />
            </Folded>
          )}
        </li>
      );
    })}
  </ul>
);
