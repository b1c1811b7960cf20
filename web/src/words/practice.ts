import type { FindingId, Move, Truth } from '@pondu/core';
import type { TrailName } from '@pondu/core';
import { TRAIL_LABELS } from './trails.ts';

type Twist =
  'two faults' | 'comes and goes' | 'off its plate' | 'bypassed before' | 'part fitted yesterday' | 'a helper reads';
/** What makes a lesson harder. */
export const TWIST_WORDS: Readonly<Record<Twist, { label: string; help: string }>> = {
  'two faults': { label: 'Two faults', help: 'The second shows when the first is mended.' },
  'comes and goes': { label: 'Comes and goes', help: 'With heat, cold, wet or bumps.' },
  'off its plate': { label: 'A plate off its book', help: 'A part of another variant was fitted once.' },
  'bypassed before': { label: 'A bypass', help: 'An earlier owner bridged the ballast.' },
  'part fitted yesterday': { label: 'A part fitted yesterday', help: 'Ask the owner what was done.' },
  'a helper reads': { label: 'A helper reads', help: 'His leads slip, and he sees things.' },
};
export const twistWords = (twists: readonly Twist[]): string =>
  twists.length === 0 ? 'one fault' : twists.map((t) => TWIST_WORDS[t].label.toLowerCase()).join(', ');

/** What a way shows that could be better, and what to do instead. */
export const FINDING_WORDS: Readonly<Record<FindingId, { label: string; instead: string }>> = {
  'not found': { label: 'Not found', instead: 'Given back before what was wrong was mended.' },
  unproved: { label: 'Not proved after the repair', instead: 'Try the engine until it runs even, then give it back.' },
  'fitted in vain': { label: 'Parts bought in vain', instead: 'Measure until one repair stands out.' },
  'one witness': {
    label: 'Part replaced too early',
    instead: 'It was less likely than not to be the fault. One more check costs less than a part.',
  },
  'went on': {
    label: 'Checks after the fault was clear',
    instead: 'Repair what is as good as certain, then try the engine.',
  },
  'passed while away': {
    label: 'A pass taken while it ran well',
    instead: 'What comes and goes is measured while it is there.',
  },
  'splits skipped': {
    label: 'Checks that told hardly anything',
    instead: 'Choose what parts the suspects in two; walking in order takes longest.',
  },
  'meter for a look': { label: 'A meter where a look tells more', instead: 'Lamp and eyes first: they take seconds.' },
  'caution passed over': { label: 'A caution passed over', instead: 'It is told because somebody was hurt.' },
};

type HintOf = Extract<Move['answer'], { kind: 'hint' }>['hint'];
export function hintWords(hint: HintOf): string {
  switch (hint.step) {
    case 'trail':
      return `Most speaks for ${TRAIL_LABELS[hint.trail as TrailName].toLowerCase()}.`;
    case 'half':
      return hint.half === 'source'
        ? `Look on the side of its source: before ${hint.station.toLowerCase()}.`
        : `Look on the side where it is used: from ${hint.station.toLowerCase()} on.`;
    case 'check':
      return `This check would tell most for its minutes: ${hint.label}.`;
    case 'repair':
      return `You know enough. Put this right: ${hint.label}.`;
    case 'none':
      return 'Nothing more can be told from what was read. Try the engine.';
  }
}

type Wait = Extract<Move['ask'], { kind: 'wait' }>;
export const WAIT_WORDS: Readonly<Record<Wait['how'], { label: string; done: string; failed: string }>> = {
  run: { label: 'Let it run', done: 'Ran', failed: 'Would not run' },
  warm: { label: 'Warm the part with a heat gun', done: 'Warmed', failed: 'Not warmed' },
  stand: { label: 'Let it stand', done: 'Stood', failed: 'Did not stand' },
};
export const waitWords = ({ how, minutes }: Wait, ran: boolean): string =>
  ran ? `${WAIT_WORDS[how].done} for ${minutes} minutes` : WAIT_WORDS[how].failed;

export const hiddenWords = ({ part, how }: Truth['faults'][number]): string => `${part} ${how}`;
