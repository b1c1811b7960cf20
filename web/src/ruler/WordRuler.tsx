import type { Ruler } from '@pondu/core';
import { RadioGroup } from 'radix-ui';

/** Accounts under which this word is the likely answer. */
const LIKELY = 0.4;

/** More answers than these stand in two columns. */
const MOST_IN_A_COLUMN = 5;

/** The answers of a check that is read in words: which accounts would give each, and the one picked. */
export function WordRuler({
  ruler,
  value,
  onChange,
  few = false,
}: {
  ruler: Ruler;
  value: string;
  onChange: (word: string) => void;
  /** Only what some account would give, and what is picked: the others are told in another way. */
  few?: boolean;
}) {
  const likely = (word: string) => [ruler.well, ...ruler.suspects].some((l) => (l.words[word] ?? 0) >= LIKELY);
  const words = few ? ruler.words.filter((word) => word === value || likely(word)) : ruler.words;
  return (
    <RadioGroup.Root
      aria-label="What it showed"
      value={value}
      onValueChange={onChange}
      className={`grid gap-1.5 ${words.length > MOST_IN_A_COLUMN ? 'grid-cols-2' : ''}`}
    >
      {words.map((word) => {
        const well = (ruler.well.words[word] ?? 0) >= LIKELY;
        const suspects = ruler.suspects.filter((s) => (s.words[word] ?? 0) >= LIKELY);
        return (
          <RadioGroup.Item
            key={word}
            value={word}
            className="group grid min-h-12 content-center rounded-lg border-[1.5px] border-soft bg-panel px-3 py-0.5 text-left hover:bg-sunk data-[state=checked]:border-do data-[state=checked]:shadow-[inset_0_0_0_2px_var(--do)]"
          >
            <span className="text-[17px] leading-6 font-semibold">{word}</span>
            {/* One line of whom it would speak for; all of them once it is picked. */}
            {(well || suspects.length > 0) && (
              <span className="condensed truncate text-[13.5px] leading-4 group-data-[state=checked]:whitespace-normal">
                {well && <span className="font-semibold text-well">when well</span>}
                {suspects.map((s, i) => (
                  <span key={s.faultId} className="text-lost">
                    {i > 0 || well ? ' · ' : ''}
                    {s.label}
                  </span>
                ))}
              </span>
            )}
          </RadioGroup.Item>
        );
      })}
    </RadioGroup.Root>
  );
}
