import type { KeyboardEvent } from 'react';

/** A piece of a drawing that is pressed as a button is: by tap, by Enter, by the space bar. */
export const pressed = (act: () => void) => ({
  role: 'button',
  tabIndex: 0,
  onClick: act,
  onKeyDown: (e: KeyboardEvent) => {
    if (e.key !== 'Enter' && e.key !== ' ') return;
    e.preventDefault();
    act();
  },
});
