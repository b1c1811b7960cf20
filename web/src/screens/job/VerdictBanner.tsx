import { complaintUnshown, TRY_IT, type TraceView, type TrailName } from '@pondu/core';
import { CircleCheck, CircleHelp, Hourglass, ShieldQuestion, Wrench } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { LinkButton } from '../../ui/LinkButton.tsx';
import { minutesWords, moneyWords, percent } from '../../words/belief.ts';
import { LOOK_THERE, tellable, TRAIL_LABELS } from '../../words/trails.ts';
import type { JobPlace } from './place.ts';

const lower = (label: string): string => `${label.charAt(0).toLowerCase()}${label.slice(1)}`;

const WHY = {
  sure: ' sure',
  'cheaper than asking': '; fixing now is cheaper than asking more',
  'likeliest left': '; no check left tells anything, and for its cost it is the likeliest. Try it',
  seen: '; it was seen to be bad, and is put right in any case',
} as const;

const TURN = {
  'lies behind it': 'it caused this, and will cause it again',
  'brings it too': 'it causes the complaint too',
  'there too': 'it hardly causes the complaint, but is wrong too',
} as const;

/** What to do when asking further is not the next thing. */
export function VerdictBanner({ trace, place: { stored, house } }: { trace: TraceView; place: JobPlace }) {
  const { verdict } = trace;
  const fixed = stored.events.some((e) => e.type === 'fix');
  const tried = stored.events.some((e) => e.type === 'reading' && e.reading.checkId === TRY_IT);
  const at = `/jobs/${stored.id}`;
  switch (verdict.kind) {
    case 'check':
      return null;
    case 'fix': {
      const { repair } = verdict;
      const rest = `${percent(verdict.share)}${WHY[verdict.why]}`;
      return (
        <Banner
          icon={<Wrench aria-hidden className="size-6" />}
          tone="do"
          title={`${verdict.why === 'likeliest left' ? 'Nothing left to ask' : 'Enough'}: ${lower(repair.label)}`}
          text={`${rest} · ${minutesWords(repair.minutes)}, parts ${moneyWords(repair.money, house.currency)}`}
          more={<Then trace={trace} at={at} />}
        >
          <LinkButton look="do" to={`${at}/repair?repair=${repair.id}`}>
            Repair it
          </LinkButton>
        </Banner>
      );
    }
    case 'second check':
      return (
        <Banner
          icon={<ShieldQuestion aria-hidden className="size-6" />}
          tone="warn"
          title={`${percent(verdict.share)} for: ${lower(verdict.repair.label)}. One more check first`}
          text={`${moneyWords(verdict.loss, house.currency)} of work and parts are lost if it is not that. This settles it first: ${lower(verdict.check.label)}.`}
        >
          <LinkButton to={`${at}/trace?check=${verdict.check.id}`}>Show it</LinkButton>
          <LinkButton to={`${at}/repair?repair=${verdict.repair.id}`}>Repair it all the same</LinkButton>
        </Banner>
      );
    case 'sound': {
      const first = verdict.elsewhere[0];
      if (!fixed && complaintUnshown(verdict))
        return (
          <Banner
            icon={<CircleCheck aria-hidden className="size-6" />}
            tone="well"
            title="The complaint does not show"
            text="The readings are those of a sound machine. Run it the way its owner does, and ask when it fails: hot, cold, wet or shaken. If it comes and goes, change the complaint to say so."
          >
            {!tried && <LinkButton to={`${at}/trace?check=${TRY_IT}`}>Try it</LinkButton>}
          </Banner>
        );
      return fixed ? (
        <Banner
          icon={<CircleCheck aria-hidden className="size-6" />}
          tone="well"
          title="Nothing wrong is left on this machine’s trails"
          text="Prove it under the conditions of the complaint."
        >
          <LinkButton look="do" to={`${at}/prove`}>
            Prove it
          </LinkButton>
        </Banner>
      ) : (
        <Banner
          icon={<CircleCheck aria-hidden className="size-6" />}
          tone="well"
          title={`What is told of this machine is sound: look elsewhere${first ? `, ${TRAIL_LABELS[first.trail].toLowerCase()} first` : ''}`}
          text={elsewhereWords(verdict.elsewhere)}
        >
          {first && tellable(first.trail) && (
            <LinkButton to={`/machines/${stored.machineId}`}>Tell it on the machine’s page</LinkButton>
          )}
        </Banner>
      );
    }
    case 'wait':
      return (
        <Banner
          icon={<Hourglass aria-hidden className="size-6" />}
          tone="warn"
          title="Wait until it fails again"
          text="Only a failing machine can fail a test: what passes now proves almost nothing. Heat it, wet it or shake it, then go on."
        />
      );
    case 'outside':
      return (
        <Banner
          icon={<CircleHelp aria-hidden className="size-6" />}
          tone="warn"
          title="The readings contradict each other"
          text="No fault known here gives all of them. Repeat the reading marked in the log, or look for something an earlier owner added."
        >
          {trace.settles && <LinkButton to={`${at}/trace?check=${trace.settles.id}`}>{trace.settles.label}</LinkButton>}
        </Banner>
      );
    case 'nothing left to check':
      return (
        <Banner
          icon={<CircleHelp aria-hidden className="size-6" />}
          tone="warn"
          title="No check left tells anything"
          text="The leading suspect may be tried, or a reading repeated."
        />
      );
  }
}

/** What is put right after it in the same go, in this order, and why. */
function Then({ trace: { afterwards }, at }: { trace: TraceView; at: string }) {
  if (afterwards.length === 0) return null;
  return (
    <ol aria-label="Then, in this order" className="mt-1 text-[15px]">
      {afterwards.map(({ repair, part, share, why }) => (
        <li key={repair.id}>
          Then{' '}
          <Link className="inline-flex min-h-12 items-center underline" to={`${at}/repair?repair=${repair.id}`}>
            {part}: {lower(repair.label)}
          </Link>
          , {percent(share)} sure; {TURN[why]}.
        </li>
      ))}
    </ol>
  );
}

const TONES = { do: 'border-do', well: 'border-well', warn: 'border-warn' } as const;

function Banner({
  icon,
  tone,
  title,
  text,
  more,
  children,
}: {
  icon: ReactNode;
  tone: keyof typeof TONES;
  title: string;
  text: string;
  more?: ReactNode;
  children?: ReactNode;
}) {
  return (
    <section role="status" className={`card flex flex-wrap items-center gap-3 !border-2 px-3 py-2 ${TONES[tone]}`}>
      {icon}
      <div className="grow basis-60">
        <h2 className="text-lg">{title}</h2>
        <p className="text-[15px]">{text}</p>
        {more}
      </div>
      {children}
    </section>
  );
}

/** The likeliest trails that nobody has told, with what is looked at there first. */
const elsewhereWords = (shares: readonly { trail: TrailName; share: number }[]): string =>
  shares
    .filter((s) => s.share >= 0.05)
    .slice(0, 2)
    .map((s) => `${TRAIL_LABELS[s.trail]} ${percent(s.share)}: ${LOOK_THERE[s.trail]}`)
    .join(' ');
