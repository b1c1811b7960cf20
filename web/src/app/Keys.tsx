import { useHotkeys } from 'react-hotkeys-hook';
import { useNavigate } from 'react-router';

/** The keys that work on every screen; fetched once the first one stands. */
export function Keys({ onHelp, onTheme }: { onHelp: () => void; onTheme: () => void }) {
  const go = useNavigate();
  useHotkeys(['?', 'shift+?'], onHelp, { useKey: true });
  useHotkeys('b', () => void go('/'));
  useHotkeys('m', () => void go('/machines'));
  useHotkeys('n', () => void go('/new'));
  useHotkeys('p', () => void go('/practice'));
  useHotkeys('t', onTheme);
  return null;
}
