import { MOST_PAIRS } from '@pondu/core/schema';
import { Button } from '../../ui/Button.tsx';
import { FigureField, type Figure, type Within } from './figure.tsx';

interface Side {
  readonly label: string;
  readonly figure: Figure;
  readonly within: Within;
}

/** Two figures that belong together, typed one pair after the other; `taken` says those that were, as words. */
export function PairsForm({
  sides: [one, other],
  add,
  taken,
  takenLabel,
  onAdd,
  onTakeBack,
}: {
  sides: readonly [Side, Side];
  /** What the button says that takes a pair. */
  add: string;
  taken: readonly string[];
  takenLabel: string;
  onAdd: (one: number, other: number) => void;
  onTakeBack: () => void;
}) {
  const [a, b] = [one.figure.value, other.figure.value];
  const full = taken.length >= MOST_PAIRS;
  return (
    <>
      <form
        className="grid grid-cols-2 items-start gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          if (a === undefined || b === undefined || full) return;
          onAdd(a, b);
          one.figure.clear();
          other.figure.clear();
          // The next pair begins with the first field.
          e.currentTarget.querySelector('input')?.focus();
        }}
      >
        <FigureField {...one} />
        <FigureField {...other} />
        <Button type="submit" disabled={a === undefined || b === undefined || full}>
          {add}
        </Button>
        {taken.length > 0 && <Button onClick={onTakeBack}>Remove the last</Button>}
      </form>
      {full && (
        <p className="text-[15px] text-warn">That is all it takes: {MOST_PAIRS}. Remove the last to add another.</p>
      )}
      {taken.length > 0 && (
        <ul aria-label={takenLabel} className="flex flex-wrap gap-x-4 text-[15px]">
          {taken.map((words, k) => (
            <li key={k}>{words}</li>
          ))}
        </ul>
      )}
    </>
  );
}
