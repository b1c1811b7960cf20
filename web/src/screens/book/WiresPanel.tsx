import type { WireLabel } from '@pondu/core';
import { useState } from 'react';
import { v4 as uuid } from 'uuid';
import type { StoredMachine } from '../../api/types.ts';
import { useDraft } from '../../draft/useDraft.ts';
import { Button } from '../../ui/Button.tsx';
import { TextField } from '../../ui/Field.tsx';
import { Folded } from '../../ui/Folded.tsx';
import { LinkButton } from '../../ui/LinkButton.tsx';
import { useBookWrite } from './useBookWrite.ts';

const EMPTY = { from: '', to: '', is: '', book: '' };

/** Wires before they come off: from, to, the colour as it is and as the book says; printed as small flags. */
export function WiresPanel({ stored }: { stored: StoredMachine }) {
  const { book, write } = useBookWrite(stored);
  const [draft, setDraft, clear] = useDraft<Omit<WireLabel, 'id'>>(`machine.${stored.id}.wire`, EMPTY);
  const [error, setError] = useState('');
  async function add() {
    if (!draft.from.trim()) return setError('Say where it comes from.');
    if (!draft.to.trim()) return setError('Say where it goes.');
    setError('');
    if (await write({ wires: [...book.wires, { id: uuid(), ...draft }] })) clear();
  }
  const field = (name: keyof typeof EMPTY, label: string) => (
    <TextField label={label} value={draft[name]} onChange={(e) => setDraft({ ...draft, [name]: e.target.value })} />
  );
  return (
    <Folded
      name={`Wire labels${book.wires.length ? `: ${book.wires.length}` : ''}`}
      className="card p-3"
      open={book.wires.length > 0}
    >
      {book.wires.length > 0 && (
        <table className="w-full text-[15px]">
          <thead>
            <tr className="tag text-left">
              <th>From</th>
              <th>To</th>
              <th>Is</th>
              <th>By the book</th>
              <td className="no-print w-24" />
            </tr>
          </thead>
          <tbody>
            {book.wires.map((w) => (
              <tr key={w.id} className="border-t border-rule">
                <td>{w.from}</td>
                <td>{w.to}</td>
                <td className={w.book && w.is !== w.book ? 'font-semibold text-warn' : ''}>{w.is}</td>
                <td>{w.book}</td>
                <td className="no-print">
                  <Button
                    look="quiet"
                    aria-label={`Take out ${w.from} to ${w.to}`}
                    onClick={() => void write({ wires: book.wires.filter((o) => o.id !== w.id) })}
                  >
                    Take out
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <form
        className="no-print mt-3 grid grid-cols-2 items-end gap-2 sm:grid-cols-5"
        onSubmit={(e) => {
          e.preventDefault();
          void add();
        }}
      >
        {field('from', 'From')}
        {field('to', 'To')}
        {field('is', 'Colour as it is')}
        {field('book', 'Colour by the book')}
        <Button type="submit">Add</Button>
      </form>
      <p role="alert" className="mt-1 font-medium text-danger empty:hidden">
        {error}
      </p>
      {book.wires.length > 0 && (
        <div className="no-print mt-3">
          <LinkButton to={`/machines/${stored.id}/flags`}>Flags to print</LinkButton>
        </div>
      )}
    </Folded>
  );
}
