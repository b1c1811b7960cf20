/**
 * Runs in a page before anything of it: somebody at the window who presses "Understood" as each caution comes, so that
 * whoever drives it need not.
 */
export const understands = (): void => {
  const press = () => {
    for (const b of document.querySelectorAll('button')) if (b.textContent === 'Understood') b.click();
  };
  document.addEventListener('DOMContentLoaded', () => {
    new MutationObserver(press).observe(document.body, { childList: true, subtree: true });
  });
};

/** Presses it once on each caution that stands open; runs in a page. */
export const understandAll = (): void => {
  for (const b of document.querySelectorAll('button')) if (b.textContent === 'Understood') b.click();
};
