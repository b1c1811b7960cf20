import type { CheckView, House, JobEvent, SuspectView, TraceView } from '@pondu/core';
import { ShareBar } from '../../ui/ShareBar.tsx';
import { bearing, minutesWords, moneyWords, percent, shareWords } from '../../words/belief.ts';

const SHOWN = 6;
const EVIDENCE_SHOWN = 3;

/** Share of belief, the evidence in words, minutes and money; while a reading is typed, what it would change. */
export function Suspects({
  trace,
  before,
  house,
  events,
  checks,
}: {
  trace: TraceView;
  before: TraceView | undefined;
  house: House;
  events: readonly JobEvent[];
  checks: readonly { check: CheckView }[];
}) {
  const labelOf = (checkId: string) => checks.find((c) => c.check.id === checkId)?.check.label ?? checkId;
  const old = (s: { faultId: string }) => before && (before.suspects.find((b) => b.faultId === s.faultId)?.share ?? 0);
  const fixed = events.some((e) => e.type === 'fix');
  return (
    <section aria-label="Suspects" className="card content-start p-3">
      <div className="flex items-baseline justify-between">
        <h2 className="text-lg">Suspects</h2>
        {before && <span className="text-[13px] font-semibold text-do">with what you are typing</span>}
      </div>
      <ol aria-live="polite" className="mt-1 grid gap-2.5">
        {trace.suspects.slice(0, SHOWN).map((s, i) => (
          <Suspect key={s.faultId} suspect={s} before={old(s)} first={i === 0} house={house} labelOf={labelOf} />
        ))}
      </ol>
      <dl className="mt-3 grid grid-cols-[1fr_auto] gap-x-3 gap-y-1 border-t border-rule pt-2 text-[14px]">
        <dt>{fixed ? 'Nothing wrong is left on this trail' : 'This trail is sound, the trouble is elsewhere'}</dt>
        <dd className="font-semibold">{percent(trace.sound)}</dd>
        <dt>Something this model does not know</dt>
        <dd className="font-semibold">{percent(trace.outside)}</dd>
      </dl>
    </section>
  );
}

function Suspect({
  suspect: s,
  before,
  first,
  house,
  labelOf,
}: {
  suspect: SuspectView;
  before: number | undefined;
  first: boolean;
  house: House;
  labelOf: (checkId: string) => string;
}) {
  return (
    <li className="grid gap-0.5">
      <div className="flex items-baseline justify-between gap-2">
        <span className={first ? 'font-semibold' : ''}>
          {s.part} <span className="font-normal">{s.how}</span>
        </span>
        <span className="shrink-0 font-semibold">{percent(s.share)}</span>
      </div>
      <ShareBar share={s.share} before={before} tone={first && s.share > 0.5 ? 'lost' : 'ink'} />
      <p className="condensed text-[13.5px] text-soft">
        {shareWords(s.share)} · {s.repair.label.toLowerCase()}, {minutesWords(s.repair.minutes)},{' '}
        {moneyWords(s.cost, house.currency)}
      </p>
      {first && s.evidence.length > 0 && (
        <ul className="condensed text-[13.5px]">
          {s.evidence.slice(0, EVIDENCE_SHOWN).map((e) => (
            <li key={e.readingId} className="flex gap-1.5">
              <b className={e.decades > 0 ? 'text-lost' : 'text-well'}>{bearing(e.decades)}</b>
              <span>{labelOf(e.checkId)}</span>
            </li>
          ))}
        </ul>
      )}
    </li>
  );
}
