/**
 * Runs in a page, before anything of it or when it stands: somebody at the window who presses "Understood" on each
 * caution that is open or comes, so that whoever drives it need not.
 */
export const understands = (): void => {
  const press = () => {
    for (const b of document.querySelectorAll('button')) if (b.textContent === 'Understood') b.click();
  };
  const watch = () => {
    press();
    new MutationObserver(press).observe(document.body, { childList: true, subtree: true });
  };
  if (document.readyState === 'loading') document.addEventListener('DOMContentLoaded', watch);
  else watch();
};
