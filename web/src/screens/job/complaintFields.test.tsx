import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { ComplaintFields, emptyComplaint, type ComplaintDraft } from './ComplaintFields.tsx';

afterEach(cleanup);

const changed = vi.fn<(value: ComplaintDraft) => void>();
function Shown() {
  const [value, setValue] = useState<ComplaintDraft>(emptyComplaint);
  return (
    <ComplaintFields
      value={value}
      onChange={(next) => {
        setValue(next);
        changed(next);
      }}
    />
  );
}
const told = () => changed.mock.calls.at(-1)![0];

describe('what it is brought in with', () => {
  it('what befell the machine is ticked, and taken out again', async () => {
    render(<Shown />);
    await userEvent.click(screen.getByLabelText('It was under water'));
    await userEvent.click(screen.getByLabelText('Jump leads the wrong way round'));
    expect(told().happened).toEqual(['under water', 'jump leads reversed']);
    await userEvent.click(screen.getByLabelText('It was under water'));
    expect(told().happened).toEqual(['jump leads reversed']);
  });
  it('a complaint may be there only while it is cold', async () => {
    render(<Shown />);
    await userEvent.click(screen.getByRole('radio', { name: /Only cold/ }));
    expect(told().pattern).toBe('cold');
  });
});
