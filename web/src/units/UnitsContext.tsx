import { createContext, useContext, useMemo, useState, type ReactNode } from 'react';
import { keptUnits, USUAL, type Units } from './units';

const KEPT = 'cabida.units';
const UnitsContext = createContext<{ units: Units; choose: (units: Units) => void }>({ units: USUAL, choose() {} });

/** Each person's choice stays on their machine. */
export function UnitsProvider({ children }: { children: ReactNode }) {
  const [units, setUnits] = useState<Units>(() => keptUnits(localStorage.getItem(KEPT)));
  const value = useMemo(
    () => ({
      units,
      choose: (chosen: Units) => {
        localStorage.setItem(KEPT, JSON.stringify(chosen));
        setUnits(chosen);
      },
    }),
    [units],
  );
  return <UnitsContext.Provider value={value}>{children}</UnitsContext.Provider>;
}

export const useUnits = () => useContext(UnitsContext);
