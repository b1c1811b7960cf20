import { useEffect, useState } from 'react';

export type Theme = 'light' | 'dim';
const KEY = 'pondu.theme';

const first = (): Theme => {
  const kept = localStorage.getItem(KEY);
  if (kept === 'light' || kept === 'dim') return kept;
  return matchMedia('(prefers-color-scheme: dark)').matches ? 'dim' : 'light';
};

export function useTheme(): [Theme, () => void] {
  const [theme, setTheme] = useState(first);
  useEffect(() => {
    document.documentElement.dataset['theme'] = theme;
  }, [theme]);
  const toggle = () => {
    const next = theme === 'light' ? 'dim' : 'light';
    localStorage.setItem(KEY, next);
    setTheme(next);
  };
  return [theme, toggle];
}
