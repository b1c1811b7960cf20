import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { JobEvent } from '@pondu/core';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { checkAloud, lastHeard } from '../words/aloud.ts';
import { AloudButton, NoVoice } from './AloudButton.tsx';
import { useReadAloud } from './useReadAloud.ts';

const check = { id: 'strap-drop', label: 'Drop, strap', set: 'Crank.', touch: 'Block to post', watch: 'Under 0.2 V.' };

function Card({ text }: { text: string }) {
  const aloud = useReadAloud(text);
  return (
    <>
      <AloudButton aloud={aloud} />
      <NoVoice aloud={aloud} />
    </>
  );
}

const said: string[] = [];
const cancel = vi.fn();
beforeEach(() => {
  localStorage.clear();
  said.length = 0;
  cancel.mockClear();
  vi.stubGlobal('speechSynthesis', { speak: (u: { text: string }) => said.push(u.text), cancel });
  vi.stubGlobal(
    'SpeechSynthesisUtterance',
    class {
      lang = '';
      readonly text: string;
      constructor(text: string) {
        this.text = text;
      }
    },
  );
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe('reading aloud', () => {
  it('says nothing until it is asked to, then each text once, and stops when it is turned off', async () => {
    const user = userEvent.setup();
    const { rerender } = render(<Card text="One." />);
    expect(said).toEqual([]);
    await user.click(screen.getByRole('button', { name: 'Read aloud', pressed: false }));
    expect(said).toEqual(['One.']);
    rerender(<Card text="One." />);
    rerender(<Card text="Two." />);
    expect(said).toEqual(['One.', 'Two.']);
    cancel.mockClear();
    await user.click(screen.getByRole('button', { name: 'Read aloud', pressed: true }));
    expect(cancel).toHaveBeenCalled();
    rerender(<Card text="Three." />);
    expect(said).toEqual(['One.', 'Two.']);
  });
  it('is remembered by the device', async () => {
    render(<Card text="One." />);
    await userEvent.setup().click(screen.getByRole('button', { name: 'Read aloud' }));
    cleanup();
    render(<Card text="Again." />);
    expect(said.at(-1)).toBe('Again.');
  });
  it('says in writing that there is no voice, where there is none', async () => {
    vi.unstubAllGlobals();
    render(<Card text="One." />);
    expect(screen.queryByRole('status')).toBeNull();
    await userEvent.setup().click(screen.getByRole('button', { name: 'Read aloud' }));
    expect(screen.getByRole('status').textContent).toContain('no voice');
  });
});

describe('what is said', () => {
  it('set, touch and watch in turn; a line that is not there is left out', () => {
    expect(checkAloud(check)).toBe('Drop, strap. Set: Crank. Touch: Block to post. Watch: Under 0.2 V.');
    expect(checkAloud({ ...check, touch: '' })).toBe('Drop, strap. Set: Crank. Watch: Under 0.2 V.');
  });
  it('what was read last, as it was typed, before the next check; nothing after anything else', () => {
    const reading = (value: object, typed: string): JobEvent[] => [
      { type: 'reading', reading: { id: 'r', checkId: 'strap-drop', value, typed } } as unknown as JobEvent,
    ];
    const heard = (events: JobEvent[]) => lastHeard(events, [{ check }]);
    expect(heard(reading({ kind: 'number', value: 0.4 }, '400 mV'))).toBe('Noted: Drop, strap, 400 mV.');
    expect(heard(reading({ kind: 'word', word: 'weak' }, ''))).toBe('Noted: Drop, strap, weak.');
    expect(heard(reading({ kind: 'open' }, 'OL'))).toBe('Noted: Drop, strap, O L.');
    expect(heard([])).toBeUndefined();
    expect(lastHeard(reading({ kind: 'open' }, 'OL'), [])).toBeUndefined();
  });
});
