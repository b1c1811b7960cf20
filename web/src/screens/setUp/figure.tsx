import { parseQuantity, type Dimension } from '@pondu/core';
import { useDraft } from '../../draft/useDraft.ts';
import { TextField } from '../../ui/Field.tsx';
import { failureWords } from '../../words/failures.ts';

/** One figure as it is typed, kept over a reload; a value once it can be read. */
export function useFigure(key: string, dimension: Dimension) {
  const [typed, setTyped, clear] = useDraft(key, '');
  const read = typed.trim() === '' ? undefined : parseQuantity(typed, dimension);
  return {
    typed,
    setTyped,
    clear,
    value: read?.ok ? read.value : undefined,
    error: read && !read.ok ? failureWords(read.failure) : undefined,
  };
}
export type Figure = ReturnType<typeof useFigure>;

export function FigureField({ label, figure, hint }: { label: string; figure: Figure; hint?: string }) {
  return (
    <TextField
      label={label}
      value={figure.typed}
      error={figure.error}
      {...(hint === undefined ? {} : { hint })}
      onChange={(e) => figure.setTyped(e.target.value)}
    />
  );
}

/** Several figures of one kind, as they are typed with blanks between them. */
export function useFigures(key: string, dimension: Dimension) {
  const [typed, setTyped, clear] = useDraft(key, '');
  const parts = typed.trim() === '' ? [] : typed.trim().split(/[\s;]+/);
  const read = parts.map((p) => parseQuantity(p, dimension));
  const bad = read.find((r) => !r.ok);
  return {
    typed,
    setTyped,
    clear,
    values: bad ? undefined : read.flatMap((r) => (r.ok ? [r.value] : [])),
    error: bad && !bad.ok ? failureWords(bad.failure) : undefined,
  };
}

export const Answer = ({ children }: { children: React.ReactNode }) => (
  <p role="status" className="text-[17px] font-semibold empty:hidden">
    {children}
  </p>
);

/** A part of a bench with its own name. */
export function Part({ title, about, children }: { title: string; about: string; children: React.ReactNode }) {
  return (
    <section aria-label={title} className="grid content-start gap-2">
      <h3 className="text-[17px]">{title}</h3>
      <p className="text-[14px] text-soft">{about}</p>
      {children}
    </section>
  );
}

/** The usual caution of a bench, shown before its fields. */
export const Care = ({ children }: { children: string }) => (
  <p className="rounded-lg bg-warn-wash p-2 text-[14px] text-warn">{children}</p>
);
