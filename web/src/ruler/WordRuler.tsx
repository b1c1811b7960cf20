import type { Ruler } from '@pondu/core';
import { RadioGroup } from 'radix-ui';

/** Accounts under which this word is the likely answer. */
const LIKELY = 0.4;

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
      className="grid gap-2 sm:grid-cols-2"
    >
      {words.map((word) => {
        const well = (ruler.well.words[word] ?? 0) >= LIKELY;
        const suspects = ruler.suspects.filter((s) => (s.words[word] ?? 0) >= LIKELY);
        return (
          <RadioGroup.Item
            key={word}
            value={word}
            className="flex min-h-14 flex-col justify-center rounded-lg border-[1.5px] border-soft bg-panel px-3 py-1.5 text-left hover:bg-sunk data-[state=checked]:border-do data-[state=checked]:shadow-[inset_0_0_0_2px_var(--do)]"
          >
            <span className="text-[17px] font-semibold">{word}</span>
            <span className="condensed flex flex-wrap gap-x-3 text-[13.5px]">
              {well && <span className="font-semibold text-well">when well</span>}
              {suspects.map((s) => (
                <span key={s.faultId} className="text-lost">
                  {s.label}
                </span>
              ))}
            </span>
          </RadioGroup.Item>
        );
      })}
    </RadioGroup.Root>
  );
}
