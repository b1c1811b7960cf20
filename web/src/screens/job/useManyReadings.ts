import { readTyped, type CheckView, type Conditions, type TypedReading } from '@pondu/core';
import { useState } from 'react';
import { useJobWrites } from '../../api/hooks.ts';
import { problemOf } from '../../api/problem.ts';
import type { StoredJob } from '../../api/types.ts';
import { useDraft } from '../../draft/useDraft.ts';
import { meant as withUnit } from '../../units/quantity.ts';
import { failureWords } from '../../words/failures.ts';

interface Asked {
  stored: StoredJob;
  /** Under which what is typed outlives a reload. */
  draft: string;
  checks: readonly CheckView[];
  now: Conditions;
  /** What a text means where that is not the shop's habit. */
  meant?: (text: string) => string;
}

/** Several readings on one sheet, saved one after the other: what is empty is not sent, what is refused stays. */
export function useManyReadings({ stored, draft, checks, now, meant }: Asked) {
  const [typed, setTyped, clear] = useDraft<Readonly<Record<string, string>>>(draft, {});
  const [errors, setErrors] = useState<Readonly<Record<string, string>>>({});
  const [saving, setSaving] = useState(false);
  const write = useJobWrites(stored);
  const textOf = (check: CheckView): string => {
    const text = typed[check.id] ?? '';
    if (meant) return meant(text);
    return check.dimension ? withUnit(text, check.dimension) : text;
  };
  const isTyped = (check: CheckView): boolean => (typed[check.id] ?? '').trim() !== '';
  const read = (check: CheckView): TypedReading | undefined =>
    isTyped(check) ? readTyped(check, textOf(check)) : undefined;

  async function save(): Promise<void> {
    const wrong: Record<string, string> = {};
    const kept: Record<string, string> = {};
    let { version } = stored;
    setSaving(true);
    for (const check of checks) {
      const found = read(check);
      if (!found) continue;
      if (found.ok) {
        try {
          const sent = { checkId: check.id, typed: textOf(check), value: found.value, note: '', ...now };
          version = await write('POST', '/readings', { ...sent, confirmed: errors[check.id] !== undefined }, version);
          continue;
        } catch (caught) {
          const refusal = problemOf(caught);
          wrong[check.id] = refusal.fields[0]?.message ?? refusal.message;
          if (refusal.code === 'absurd') wrong[check.id] += ' Save once more to let it stand.';
        }
      } else wrong[check.id] = failureWords(found.failure);
      kept[check.id] = typed[check.id]!;
    }
    setErrors(wrong);
    setSaving(false);
    if (Object.keys(kept).length) setTyped(kept);
    else clear();
  }
  return {
    typed,
    put: (id: string, text: string) => setTyped({ ...typed, [id]: text }),
    errors,
    saving,
    read,
    save,
    /** Anything at all on the sheet. */
    begun: checks.some(isTyped),
  };
}
