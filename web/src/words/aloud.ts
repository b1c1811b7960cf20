import type { CheckView, JobEvent } from '@pondu/core';

type Told = Pick<CheckView, 'label' | 'set' | 'touch' | 'watch'>;
const sentence = (text: string): string => (/[.!?]$/.test(text) ? text : `${text}.`);

/** A check as it is read to somebody whose hands are busy: what it is, set, touch, watch. */
export const checkAloud = ({ label, set, touch, watch }: Told): string =>
  [
    label,
    ...[
      ['Set', set],
      ['Touch', touch],
      ['Watch', watch],
    ].flatMap(([what, text]) => (text ? [`${what}: ${text}`] : [])),
  ]
    .map(sentence)
    .join(' ');

type Named = readonly { readonly check: Pick<CheckView, 'id' | 'label'> }[];

/** What was read last, in its own words; nothing where the job begins. */
export function lastHeard(events: readonly JobEvent[], checks: Named): string | undefined {
  const last = events.at(-1);
  if (last?.type !== 'reading') return undefined;
  const { checkId, value, typed } = last.reading;
  const label = checks.find(({ check }) => check.id === checkId)?.check.label;
  const shown = value.kind === 'word' ? value.word : value.kind === 'open' ? 'O L' : typed;
  return label && shown ? sentence(`Noted: ${label}, ${shown}`) : undefined;
}
