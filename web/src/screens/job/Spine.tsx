import { STAGES } from '@pondu/core/stages';
import type { Stage } from '@pondu/core';
import { Check } from 'lucide-react';
import { NavLink } from 'react-router';
import type { StoredJob } from '../../api/types.ts';
import { STAGE_LABELS } from '../../words/complaint.ts';

/** The stage of the work as the spine of the page; any stage may be opened at any time. */
export function Spine({ stored, shown }: { stored: StoredJob; shown: Stage }) {
  const reached = STAGES.indexOf(stored.job.stage);
  return (
    <nav aria-label="Stages" className="-mx-1 flex overflow-x-auto">
      {STAGES.map((stage, i) => (
        <NavLink
          key={stage}
          to={`/jobs/${stored.id}/${stage === 'closed' ? 'card' : stage.replace(' ', '-')}`}
          aria-current={stage === shown ? 'page' : undefined}
          className={`flex min-h-12 items-center gap-1 border-b-[3px] px-2.5 text-[15px] whitespace-nowrap ${stage === shown ? 'border-do font-semibold' : 'border-transparent'} ${i > reached ? 'text-soft' : ''}`}
        >
          {i < reached && <Check aria-hidden className="size-4 text-well" />}
          {stage === 'closed' ? 'Card' : STAGE_LABELS[stage]}
        </NavLink>
      ))}
    </nav>
  );
}
