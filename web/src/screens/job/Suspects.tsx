import type { House, JobEvent, LineView, TraceView } from '@pondu/core';
import { Fragment } from 'react';
import { Link } from 'react-router';
import { labelOf, type Checks } from '../../words/checks.ts';
import { TRAIL_LABELS } from '../../words/trails.ts';
import { ShareBar } from '../../ui/ShareBar.tsx';
import { bearing, cellWords, minutesWords, moneyWords, percent, shareWords } from '../../words/belief.ts';

const SHOWN = 6;
/** A line below this is no suspect any more, unless it leads. */
const SUSPECTED = 0.005;
const EVIDENCE_SHOWN = 3;

/** Share of belief, the evidence in words, minutes and money; while a reading is typed, what it would change. */
export function Suspects({
  trace,
  before,
  house,
  events,
  checks,
  jobId,
}: {
  jobId: string;
  trace: TraceView;
  before: TraceView | undefined;
  house: House;
  events: readonly JobEvent[];
  checks: Checks;
}) {
  const lines = trace.lines.slice(0, SHOWN).filter((l, i) => i === 0 || l.share >= SUSPECTED);
  const old = (l: LineView) => before && (before.lines.find((b) => b.repair.id === l.repair.id)?.share ?? 0);
  const fixed = events.some((e) => e.type === 'fix');
  const several = new Set(lines.map((l) => l.trail)).size > 1;
  const told = new Set<string>(trace.lines.map((l) => l.trail));
  return (
    <section aria-label="Suspects" className="card content-start p-3">
      <div className="flex items-baseline justify-between">
        <h2 className="text-lg">Suspects</h2>
        {before && <span className="text-[13px] font-semibold text-do">with what you are typing</span>}
      </div>
      <ol aria-live="polite" className="mt-1 grid gap-2.5">
        {lines.map((s, i) => (
          <Suspect
            key={s.repair.id}
            line={s}
            before={old(s)}
            first={i === 0}
            seen={i === 0 && trace.verdict.kind === 'fix' && trace.verdict.why === 'seen'}
            house={house}
            labelOf={(id) => labelOf(checks, id)}
            several={several}
          />
        ))}
      </ol>
      <Besides trace={trace} jobId={jobId} />
      <MindChangers trace={trace} />
      <dl className="mt-3 grid grid-cols-[1fr_auto] gap-x-3 gap-y-1 border-t border-rule pt-2 text-[14px]">
        <dt>{fixed ? 'Nothing wrong is left here' : 'All that is told is sound, the trouble is elsewhere'}</dt>
        <dd className="font-semibold">{percent(trace.sound)}</dd>
        {!fixed &&
          trace.trails
            .filter((t) => !told.has(t.trail) && t.share >= 0.02)
            .slice(0, 3)
            .map((t) => (
              <Fragment key={t.trail}>
                <dt className="pl-4 text-soft">{TRAIL_LABELS[t.trail].toLowerCase()}</dt>
                <dd className="text-soft">{percent(t.share)}</dd>
              </Fragment>
            ))}
        {!fixed && trace.unshown >= 0.02 && (
          <>
            <dt>{BRINGS[trace.verdict.kind === 'fix' ? 'found' : 'open']}</dt>
            <dd className="font-semibold">{percent(trace.unshown)}</dd>
          </>
        )}
        <dt>Something this model does not know</dt>
        <dd className="font-semibold">{percent(trace.outside)}</dd>
      </dl>
    </section>
  );
}

/** What is believed not to bring the complaint: where something was found, that it hardly does. */
const BRINGS = {
  open: 'The complaint does not show',
  found: 'What was found hardly causes this complaint',
} as const;

function Suspect({
  line: s,
  before,
  first,
  seen,
  house,
  labelOf,
  several,
}: {
  line: LineView;
  before: number | undefined;
  first: boolean;
  /** It was found at the part itself and is put right before anything else, whatever it explains. */
  seen: boolean;
  house: House;
  labelOf: (checkId: string) => string;
  /** Whether suspects of more than one trail are listed. */
  several: boolean;
}) {
  const words = `${seen ? 'Seen at the part: put it right first' : shareWords(s.share)} · ${s.repair.label.toLowerCase()}, ${minutesWords(s.repair.minutes)}, ${moneyWords(s.cost, house.currency)}`;
  return (
    <li className="grid gap-0.5">
      <div className="flex items-baseline justify-between gap-2">
        <span className={first ? 'font-semibold' : ''}>
          {s.part} <span className="font-normal">{waysWords(s)}</span>{' '}
          {several && <span className="tag font-normal">{TRAIL_LABELS[s.trail].toLowerCase()}</span>}
        </span>
        <span className="shrink-0 font-semibold">{percent(s.share)}</span>
      </div>
      <ShareBar share={s.share} before={before} tone={first && s.share > 0.5 ? 'lost' : 'ink'} />
      {first || s.evidence.length === 0 ? (
        <p className="condensed text-[13.5px] text-soft">{words}</p>
      ) : (
        <details>
          <summary className="condensed min-h-12 cursor-pointer text-[13.5px] text-soft" title="Why it rose and fell">
            {words} <span className="underline decoration-dotted">why</span>
          </summary>
          <EvidenceList evidence={s.evidence} labelOf={labelOf} />
        </details>
      )}
      {first && s.evidence.length > 0 && (
        <EvidenceList evidence={s.evidence.slice(0, EVIDENCE_SHOWN)} labelOf={labelOf} />
      )}
    </li>
  );
}

function EvidenceList({ evidence, labelOf }: { evidence: LineView['evidence']; labelOf: (checkId: string) => string }) {
  return (
    <ul className="condensed text-[13.5px]">
      {evidence.map((e) => (
        <li key={e.readingId} className="flex gap-1.5">
          <b className={e.decades > 0 ? 'text-lost' : 'text-well'}>{bearing(e.decades)}</b>
          <span>{labelOf(e.checkId)}</span>
        </li>
      ))}
    </ul>
  );
}

const WAYS_SAID = 3;
/** In which ways it may have failed, the likeliest first. */
function waysWords({ ways, alike }: LineView): string {
  const said = ways.slice(0, WAYS_SAID).map((w) => w.how);
  const rest = ways.length - said.length;
  const how = `${said.join(', or ')}${rest > 0 ? `, or ${rest} more` : ''}`;
  return alike > 1 ? `(one of ${alike}, nothing tells which) ${how}` : how;
}

/** Wrong all the same: put right, it is one thing less; the trace goes on to what explains the complaint. */
function Besides({ trace, jobId }: { trace: TraceView; jobId: string }) {
  if (trace.besides.length === 0) return null;
  return (
    <div className="mt-3 border-t border-rule pt-2">
      <h3 className="text-[15px]">Found wrong, whatever the complaint</h3>
      <ul className="grid">
        {trace.besides.map((b) => (
          <li key={b.faultId} className="condensed text-[14px]">
            <Link
              to={`/jobs/${jobId}/repair?repair=${b.repair.id}`}
              className="flex min-h-12 flex-wrap items-center gap-x-2"
            >
              <b>
                {b.part} {b.how}
              </b>
              <span className="underline">{b.repair.label.toLowerCase()}</span>
            </Link>
          </li>
        ))}
      </ul>
    </div>
  );
}

/** Readings that would take the lead from the first suspect. */
function MindChangers({ trace }: { trace: TraceView }) {
  const lead = trace.lines[0];
  if (!lead || lead.share < 0.3 || trace.mindChangers.length === 0) return null;
  return (
    <div className="mt-3 border-t border-rule pt-2">
      <h3 className="text-[15px]">What would change my mind</h3>
      <ul className="condensed grid gap-1 text-[13.5px]">
        {trace.mindChangers.map((m) => (
          <li key={m.check.id}>
            {m.check.label}: <b>{cellWords(m.reading, m.check.dimension)}</b>. {lead.part} would fall to{' '}
            {percent(m.share)}.
          </li>
        ))}
      </ul>
    </div>
  );
}
