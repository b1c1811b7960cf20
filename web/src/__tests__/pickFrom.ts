import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

/** Opens the list of this name and picks the option with this value, or of this name. */
export async function pickFrom(list: string | HTMLElement, value: string): Promise<void> {
  await userEvent.click(typeof list === 'string' ? screen.getByRole('combobox', { name: list }) : list);
  const option = screen.getAllByRole('option').find((o) => o.dataset['value'] === value || o.textContent === value);
  if (!option) throw new Error(`no option ${value}`);
  await userEvent.click(option);
}
