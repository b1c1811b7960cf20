import type { CheckView, RankedView } from '@pondu/core';
import { X } from 'lucide-react';
import { Button } from '../../ui/Button.tsx';
import { byTrail, trailOf, type Trails } from '../../words/byTrail.ts';
import { TRAIL_LABELS } from '../../words/trails.ts';
import { minutesWords } from '../../words/belief.ts';

/** The checks of one station, or all of them: any may be chosen instead of the one proposed. */
export function CheckList({
  heading,
  checks,
  notOwned,
  trails,
  ranked,
  onChoose,
  onClose,
}: {
  heading: string;
  checks: readonly CheckView[];
  /** Checks whose instrument the shop does not have: a reading that somebody took can still be entered. */
  notOwned: ReadonlySet<string>;
  trails: Trails;
  ranked: readonly RankedView[];
  onChoose: (checkId: string) => void;
  onClose: () => void;
}) {
  const groups = byTrail(trails, checks, (c) => trailOf(trails, c.station));
  return (
    <section aria-label={heading} className="card p-3">
      <div className="flex items-center justify-between">
        <h2 className="text-lg">{heading}</h2>
        <Button look="quiet" aria-label="Close the list" onClick={onClose}>
          <X aria-hidden className="size-5" />
        </Button>
      </div>
      {checks.length === 0 && <p className="text-soft">No check is made here by itself; its neighbours tell.</p>}
      {groups.map(({ trail, items }) => (
        <div key={trail ?? ''}>
          {groups.length > 1 && <h3 className="tag mt-2 mb-1">{trail ? TRAIL_LABELS[trail] : 'The whole engine'}</h3>}
          <ul className="grid gap-1 sm:grid-cols-2">
            {items.map((c) => {
              const rank = ranked.find((r) => r.id === c.id);
              return (
                <li key={c.id}>
                  <Button className="w-full !justify-start text-left" onClick={() => onChoose(c.id)}>
                    <span className="grow">{c.label}</span>
                    <span className="condensed shrink-0 text-[13px] text-soft">
                      {rank
                        ? minutesWords(rank.minutesNow)
                        : notOwned.has(c.id)
                          ? `no ${c.instrument} here`
                          : c.running
                            ? 'when it runs'
                            : 'done'}
                    </span>
                  </Button>
                </li>
              );
            })}
          </ul>
        </div>
      ))}
    </section>
  );
}
