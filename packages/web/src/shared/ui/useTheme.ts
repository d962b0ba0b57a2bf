import { useEffect, useState } from 'react';

export type Theme = 'day' | 'lamp';
const KEY = 'sardonyx.theme';

function firstTheme(): Theme {
  const kept = localStorage.getItem(KEY);
  if (kept === 'day' || kept === 'lamp') return kept;
  return matchMedia('(prefers-color-scheme: dark)').matches ? 'lamp' : 'day';
}

/** Before anything is drawn, so that no lamp-lit room flashes white. */
export function applyKeptTheme(): void {
  document.documentElement.dataset.theme = firstTheme();
}

/** Day bench or lamp bench; remembered in this browser. */
export function useTheme(): [Theme, () => void] {
  const [theme, setTheme] = useState(firstTheme);
  useEffect(() => {
    document.documentElement.dataset.theme = theme;
    localStorage.setItem(KEY, theme);
  }, [theme]);
  return [theme, () => setTheme((current) => (current === 'day' ? 'lamp' : 'day'))];
}
