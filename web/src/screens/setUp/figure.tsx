import { dwellFromShare, type Dimension, type Typing } from '@pondu/core';
import { useDraft } from '../../draft/useDraft.ts';
import { TextField } from '../../ui/Field.tsx';
import { failureWords } from '../../words/failures.ts';
import { readHeight, readQuantity } from '../../units/quantity.ts';

/** One figure as it is typed, kept over a reload; a value once it can be read. */
export function useFigure(key: string, dimension: Dimension, typing?: Typing) {
  const [typed, setTyped, clear] = useDraft(key, '');
  const read = typed.trim() === '' ? undefined : readQuantity(typed, dimension, typing);
  return {
    typed,
    setTyped,
    clear,
    value: read?.ok ? read.value : undefined,
    error: read && !read.ok ? failureWords(read.failure) : undefined,
  };
}
export type Figure = ReturnType<typeof useFigure>;

/** A dwell as it is typed: in degrees, or in per cent of the turn that one of so many lobes takes. */
export function useDwell(key: string, lobes: number): Figure {
  const figure = useFigure(key, 'angle');
  const share = figure.error === undefined ? undefined : readQuantity(figure.typed, 'share');
  return share?.ok && share.unit === '%'
    ? { ...figure, value: dwellFromShare(share.value, lobes), error: undefined }
    : figure;
}

/** A height above the sea: a bare number is in metres or feet, as the shop goes. */
export function useHeight(key: string): Figure {
  const [typed, setTyped, clear] = useDraft(key, '');
  const read = typed.trim() === '' ? undefined : readHeight(typed);
  return {
    typed,
    setTyped,
    clear,
    value: read?.ok ? read.value : undefined,
    error: read && !read.ok ? failureWords(read.failure) : undefined,
  };
}

/** From so many on a bare number is stamped in hundredths of a millimetre: no jet has a bore of ten. */
const STAMPED_FROM = 10;
/** A jet as stamped (120) or by its bore (1.2, 1.2 mm, 47 thou). */
export function useJet(key: string): Figure {
  const figure = useFigure(key, 'length');
  const bare = Number(figure.typed.trim().replace(',', '.'));
  return figure.typed.trim() !== '' && bare >= STAMPED_FROM
    ? { ...figure, value: bare * 1e-5, error: undefined }
    : figure;
}

/** Beyond these a figure is asked about: the unit, or a nought too many. */
export interface Within {
  readonly low: number;
  readonly high: number;
}

interface FieldProps {
  label: string;
  figure: Figure;
  hint?: string;
  within?: Within;
}
export function FigureField({ label, figure, hint, within }: FieldProps) {
  const { value } = figure;
  const far = within !== undefined && value !== undefined && (value < within.low || value > within.high);
  return (
    <div className="min-w-0">
      <TextField
        label={label}
        value={figure.typed}
        error={figure.error}
        {...(hint === undefined ? {} : { hint })}
        onChange={(e) => figure.setTyped(e.target.value)}
      />
      {far && (
        <p role="alert" className="text-[14px] font-medium text-warn">
          “{figure.typed}” is far from anything here: is the unit right?
        </p>
      )}
    </div>
  );
}

/** Several figures of one kind, as they are typed with blanks between them. */
export function useFigures(key: string, dimension: Dimension) {
  const [typed, setTyped, clear] = useDraft(key, '');
  const parts = typed.trim() === '' ? [] : typed.trim().split(/[\s;]+/);
  const read = parts.map((p) => readQuantity(p, dimension));
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
