import { useEffect, useState } from 'react';
import { useRouteError } from 'react-router';
import { Button } from '../ui/Button.tsx';
import { NotHere } from './NotHere.tsx';

/** As browsers say that a file of the program is not there; each in its own words. */
const MISSING_FILE = /dynamically imported module|module script failed|preload CSS/i;
const RELOADED = 'pondu.reloadedAt';
/** A page that has just been loaded anew is not loaded anew again. */
const ONCE_IN_MS = 60_000;

/** Whether the workshop answers: its files are then those of a newer program, not out of reach. */
const answers = async (): Promise<boolean> =>
  (await fetch('/api/health', { cache: 'no-store' }).catch(() => undefined))?.status !== undefined;

function reloadedJustNow(): boolean {
  try {
    return Date.now() - Number(sessionStorage.getItem(RELOADED) ?? 0) < ONCE_IN_MS;
  } catch {
    return true;
  }
}
function reload(): void {
  try {
    sessionStorage.setItem(RELOADED, String(Date.now()));
  } catch {
    // Without a store it is done by hand.
  }
  location.reload();
}

/** What stands where a screen should: nothing at this address, or a page that an upgrade has left behind. */
export function WentWrong() {
  const error = useRouteError();
  return error instanceof Error && MISSING_FILE.test(error.message) ? <LeftBehind /> : <NotHere />;
}

function LeftBehind() {
  const [here, setHere] = useState<boolean>();
  useEffect(() => {
    void answers().then((reached) => {
      if (reached && !reloadedJustNow()) reload();
      else setHere(reached);
    });
  }, []);
  return (
    <div role="alert" className="grid place-items-center gap-4 p-10 text-center">
      <h1 className="text-2xl">
        {here === false ? 'This screen has not been fetched yet' : 'Pondu is newer than this page'}
      </h1>
      <p>
        {here === false
          ? 'The workshop does not answer. Go back to what was open, or try again once it does.'
          : 'It was upgraded while the page was open. Load it anew.'}{' '}
        Everything typed is kept.
      </p>
      <Button look="do" onClick={reload}>
        Load it anew
      </Button>
    </div>
  );
}
