import { TRY_IT, type CheckView, type ModelView, type RankedView, type Ruler } from '@pondu/core';
import { ClipboardList, Clock, Eye, Gauge, Hand, Maximize2, PackageOpen, Settings2, Waypoints } from 'lucide-react';
import { Link } from 'react-router';
import type { StoredJob } from '../../api/types.ts';
import { AloudButton, NoVoice } from '../../aloud/AloudButton.tsx';
import { useReadAloud } from '../../aloud/useReadAloud.ts';
import { GaugeFace } from '../../ruler/GaugeFace.tsx';
import { ReadingRuler } from '../../ruler/ReadingRuler.tsx';
import { MannerPicture } from '../../manner/MannerPicture.tsx';
import { Button } from '../../ui/Button.tsx';
import { SelectField } from '../../ui/Field.tsx';
import { Folded } from '../../ui/Folded.tsx';
import { checkAloud } from '../../words/aloud.ts';
import { minutesWords } from '../../words/belief.ts';
import { Cautions } from './Cautions.tsx';
import { useCare } from './useCare.ts';
import './checkCard.css';
import { ConditionsRow } from './ConditionsRow.tsx';
import { READING_FORM, ReadingForm } from './ReadingForm.tsx';
import type { ReadingEntry } from './useReadingEntry.ts';
import { showBand } from '../../units/quantity.ts';

interface Props {
  stored: StoredJob;
  check: CheckView;
  ruler: Ruler;
  rank?: RankedView | undefined;
  isNext: boolean;
  /** In the prove-out nobody asks what a check would tell. */
  proving?: boolean;
  /** Why it is not among those proposed. */
  unproposed?: string;
  /** The last reading is still being taken in: another check may come. */
  busy?: boolean;
  entry: ReadingEntry;
  opened: readonly string[];
  alternatives: readonly RankedView[];
  onChoose: (checkId: string) => void;
  /** Where the same check stands in large figures. */
  yard?: string;
  /** Its leads on the machine's wiring, for a check that has some. */
  wiring?: string;
  /** The next checks on a sheet of paper. */
  sheet?: string;
  /** Ways of failing that can be laid on the ruler besides those that it tells apart. */
  faults?: ModelView['faults'];
  onAdd?: (faultId: string) => void;
  /** What was read last, to be heard before this check. */
  heard?: string | undefined;
  /** What belongs to the same round. */
  children?: React.ReactNode;
}

/** Why this check: what it would tell for its minutes. */
function why(rank: RankedView | undefined, isNext: boolean, proving: boolean, unproposed: string): string {
  if (proving) return 'Repeat it as it was done before.';
  if (rank?.id === TRY_IT) return 'Something was put right: before measuring on, ask the engine.';
  if (rank?.passing) return 'Once more: it comes and goes, and may have been away the last time.';
  if (rank?.again) return 'Once more: leads that slip off look just like this.';
  if (!rank) return unproposed;
  const tells =
    rank.bits > 1
      ? 'splits the suspects well'
      : rank.bits > 0.4
        ? 'tells a good deal'
        : rank.bits > 0.05
          ? 'tells a little'
          : 'tells almost nothing now';
  return isNext ? `Tells most for its minutes: it ${tells}.` : `It ${tells}.`;
}

export function CheckCard({
  stored,
  check,
  ruler,
  rank,
  isNext,
  proving = false,
  unproposed = '',
  busy = false,
  entry,
  opened,
  alternatives,
  onChoose,
  yard,
  wiring,
  sheet,
  faults = [],
  onAdd,
  heard,
  children,
}: Props) {
  const aloud = useReadAloud([heard, checkAloud(check)].filter(Boolean).join(' Next: '));
  const { fresh, understand } = useCare(stored, check.cautions, check.id);
  const toOpen = check.opens.filter((o) => !opened.includes(o));
  const minutes = rank?.minutesNow ?? check.minutes;
  const reading =
    entry.value?.kind === 'number' ? entry.value.value : entry.value?.kind === 'open' ? Infinity : undefined;
  return (
    <section aria-label="Check" aria-busy={busy} className="check-card card p-3 sm:p-4">
      {/* On a phone the corner's buttons stand below the name, not beside it. */}
      <div className="flex flex-wrap items-start gap-x-3 sm:flex-nowrap lg:col-span-2">
        {/* A phone has no room for it above the field: there it stands at the foot. */}
        <MannerPicture manner={check.manner} className="-my-1 hidden h-14 w-20 shrink-0 sm:block" />
        <div className="flex grow basis-full flex-wrap items-baseline gap-x-3 sm:basis-auto">
          <h2 className="text-xl">{check.label}</h2>
          <span className="text-[14px] text-soft">{why(rank, isNext, proving, unproposed)}</span>
        </div>
        <AloudButton aloud={aloud} />
        {wiring && (
          <CornerLink
            to={wiring}
            name="Wiring"
            label="Wiring: where the leads go"
            icon={<Waypoints aria-hidden className="size-5" />}
          />
        )}
        {sheet && (
          <CornerLink
            to={sheet}
            name="Sheet to take along"
            label="Sheet to take along: the next checks with boxes, on one page"
            icon={<ClipboardList aria-hidden className="size-5" />}
          />
        )}
        {yard && (
          <CornerLink
            to={yard}
            name="Across the yard"
            label="Across the yard: this check in large figures"
            icon={<Maximize2 aria-hidden className="size-5" />}
          />
        )}
      </div>
      <div className="grid grid-cols-[minmax(0,1fr)] content-start gap-2.5 lg:row-span-2">
        <NoVoice aloud={aloud} />
        <dl className="grid gap-1 text-[16px]">
          <Line icon={<Settings2 aria-hidden className="size-5" />} term="Set" text={check.set} />
          <Line icon={<Hand aria-hidden className="size-5" />} term="Touch" text={check.touch} />
          <Line icon={<Eye aria-hidden className="size-5" />} term="Watch" text={check.watch} />
        </dl>
        <p className="condensed flex flex-wrap gap-x-4 gap-y-1 text-[14px] text-soft">
          <span className="flex items-center gap-1">
            <Gauge aria-hidden className="size-4" /> {check.instrumentLabel}
          </span>
          <span className="flex items-center gap-1">
            <Clock aria-hidden className="size-4" /> {minutesWords(minutes)}
          </span>
          {toOpen.length > 0 && (
            <span className="flex items-center gap-1 text-warn">
              <PackageOpen aria-hidden className="size-4" /> first: {toOpen.join(', ')}
            </span>
          )}
          {ruler.dimension && ruler.well.openShare < 1 && (
            <span>when well {showBand(ruler.well.low, ruler.well.high, ruler.dimension)}</span>
          )}
        </p>
        <Cautions ids={check.cautions} fresh={fresh} onUnderstood={understand} />
      </div>
      <ReadingForm
        check={check}
        ruler={ruler}
        entry={entry}
        understood={fresh.length === 0}
        mayLeave={rank !== undefined && !proving && !entry.correcting}
      />
      <div className="grid grid-cols-[minmax(0,1fr)] content-start gap-2.5 lg:col-start-2">
        {check.dimension === 'pressure' && (
          <GaugeFace ruler={ruler} reading={reading} unit={entry.gaugeUnit} setUnit={entry.setGaugeUnit} />
        )}
        {ruler.dimension && <ReadingRuler ruler={ruler} reading={reading} />}
      </div>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-2.5 lg:col-span-2">
        <Alternatives ranked={alternatives} onChoose={onChoose} />
        <ConditionsRow entry={entry} form={READING_FORM} />
        <MannerPicture manner={check.manner} className="mx-auto w-36 text-soft sm:hidden" />
        {onAdd && <AddSuspect faults={faults} ruler={ruler} onAdd={onAdd} />}
        {children}
      </div>
    </section>
  );
}

/** Any way of failing, to see where it would read. */
function AddSuspect({
  faults,
  ruler,
  onAdd,
}: {
  faults: ModelView['faults'];
  ruler: Ruler;
  onAdd: (faultId: string) => void;
}) {
  const shown = new Set(ruler.suspects.map((s) => s.faultId));
  const options = faults.filter((f) => !shown.has(f.id)).map((f) => ({ value: f.id, label: `${f.part} ${f.how}` }));
  return (
    <Folded name="Where would another suspect read?">
      <SelectField
        label="Lay it on the ruler"
        value=""
        options={[{ value: '', label: 'Choose one' }, ...options]}
        onChange={(id) => id && onAdd(id)}
      />
    </Folded>
  );
}

function Alternatives({ ranked, onChoose }: { ranked: readonly RankedView[]; onChoose: (checkId: string) => void }) {
  if (ranked.length === 0) return null;
  return (
    <div className="flex min-w-0 flex-wrap items-stretch gap-2 sm:flex-nowrap" aria-label="Alternatives" role="group">
      {ranked.map((a) => (
        <Button
          key={a.id}
          className="condensed min-w-0 grow basis-40 !justify-start text-left !text-[14.5px] leading-tight"
          onClick={() => onChoose(a.id)}
        >
          <span>
            <span className="text-soft">or </span>
            {a.label} <span className="whitespace-nowrap text-soft">{minutesWords(a.minutesNow)}</span>
          </span>
        </Button>
      ))}
    </div>
  );
}

function Line({ icon, term, text }: { icon: React.ReactNode; term: string; text: string }) {
  return (
    <div className="flex gap-2">
      <dt className="flex w-20 shrink-0 items-center gap-1.5 self-start font-semibold">
        {icon} {term}
      </dt>
      <dd>{text}</dd>
    </div>
  );
}

/** Another view of this check, as a sign in the card's corner. */
function CornerLink({ to, name, label, icon }: { to: string; name: string; label: string; icon: React.ReactNode }) {
  return (
    <Link
      to={to}
      aria-label={label}
      title={name}
      className="-my-2 grid size-12 shrink-0 place-items-center self-center rounded-lg hover:bg-sunk"
    >
      {icon}
    </Link>
  );
}
