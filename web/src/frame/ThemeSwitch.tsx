import { useEffect, useState } from 'react';

const KEPT = 'cabida.theme';

/** Light or dark; the system's choice until one is made. */
export function ThemeSwitch() {
  const [dark, setDark] = useState(
    () => (localStorage.getItem(KEPT) ?? (matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light')) === 'dark',
  );
  useEffect(() => {
    document.documentElement.dataset.bsTheme = dark ? 'dark' : 'light';
  }, [dark]);
  return (
    <button
      type="button"
      className="quiet"
      aria-pressed={dark}
      onClick={() => {
        localStorage.setItem(KEPT, dark ? 'light' : 'dark');
        setDark(!dark);
      }}
    >
      {dark ? 'Light' : 'Dark'}
    </button>
  );
}
