import { createContext, useContext, useMemo, useState, type ReactNode } from 'react';
import type { Units } from './units';

const KEPT = 'cabida.units';
const UnitsContext = createContext<{ units: Units; choose: (units: Units) => void }>({ units: { unit: 'mm', fraction: 16 }, choose() {} });

/** Each person's choice stays on their machine. */
export function UnitsProvider({ children }: { children: ReactNode }) {
  const [units, setUnits] = useState<Units>(() => {
    const kept = localStorage.getItem(KEPT);
    return kept ? (JSON.parse(kept) as Units) : { unit: 'mm', fraction: 16 };
  });
  const value = useMemo(() => ({
    units,
    choose: (chosen: Units) => {
      localStorage.setItem(KEPT, JSON.stringify(chosen));
      setUnits(chosen);
    },
  }), [units]);
  return <UnitsContext.Provider value={value}>{children}</UnitsContext.Provider>;
}

export const useUnits = () => useContext(UnitsContext);
