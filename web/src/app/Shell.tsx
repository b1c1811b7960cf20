import { Keyboard, Moon, Sun } from 'lucide-react';
import { lazy, Suspense, useState } from 'react';
import { Link, NavLink, Outlet } from 'react-router';
import { Button } from '../ui/Button.tsx';
import { LinkBanner } from '../offline/LinkBanner.tsx';
import { useSync } from '../offline/useSync.ts';
import { useShopHabits } from './useShopHabits.ts';
import { useTheme } from './theme.ts';

/** Not needed to see the first screen: fetched when it stands. */
const HelpSheet = lazy(async () => ({ default: (await import('./HelpSheet.tsx')).HelpSheet }));
const Keys = lazy(async () => ({ default: (await import('./Keys.tsx')).Keys }));
const Toaster = lazy(async () => ({ default: (await import('sonner')).Toaster }));

const PLACES = [
  { to: '/', label: 'Bays', end: true },
  { to: '/machines', label: 'Machines', end: false },
  { to: '/practice', label: 'Practice', end: false },
  { to: '/shop', label: 'Shop', end: false },
];

export function Shell() {
  const [theme, toggleTheme] = useTheme();
  const [help, setHelp] = useState(false);
  useSync();
  const spoken = useShopHabits();
  return (
    <>
      <a href="#main" className="sr-only z-40 bg-do p-3 text-on-do focus:not-sr-only focus:absolute">
        To the content
      </a>
      <header className="no-print flex h-14 items-center gap-1 border-b border-rule bg-panel px-2 sm:px-4">
        <Link
          to="/"
          className="mr-1 flex min-h-12 items-center gap-2 px-1 text-lg font-bold sm:mr-4"
          aria-label="Pondu, to the bays"
        >
          <img src="/mark.svg" alt="" className="size-8" />
          <span className="hidden sm:inline">Pondu</span>
        </Link>
        <nav aria-label="Places" className="flex">
          {PLACES.map((p) => (
            <NavLink
              key={p.to}
              to={p.to}
              end={p.end}
              className="flex min-h-12 items-center border-b-[3px] border-transparent px-2.5 text-[15px] aria-[current=page]:border-do aria-[current=page]:font-semibold sm:px-3"
            >
              {p.label}
            </NavLink>
          ))}
        </nav>
        <div className="grow" />
        <Button
          look="quiet"
          className="!px-2"
          onClick={toggleTheme}
          aria-label={theme === 'light' ? 'Dim the screen' : 'Light the screen'}
        >
          {theme === 'light' ? <Moon aria-hidden className="size-5" /> : <Sun aria-hidden className="size-5" />}
        </Button>
        {/* A phone has no keys. */}
        <Button look="quiet" className="!px-2 max-sm:hidden" onClick={() => setHelp(true)} aria-label="Keys">
          <Keyboard aria-hidden className="size-5" />
        </Button>
      </header>
      <LinkBanner />
      <main id="main" tabIndex={-1} className="mx-auto max-w-[1400px] outline-none">
        {/* In other units and words everything is drawn anew; what is typed is kept with its box. */}
        <Outlet key={spoken} />
      </main>
      <Suspense>
        <Keys onHelp={() => setHelp((h) => !h)} onTheme={toggleTheme} />
      </Suspense>
      <Suspense>
        {help && <HelpSheet open onOpenChange={setHelp} />}
        <Toaster
          theme={theme === 'dim' ? 'dark' : 'light'}
          position="bottom-center"
          toastOptions={{ duration: 8000 }}
        />
      </Suspense>
    </>
  );
}
