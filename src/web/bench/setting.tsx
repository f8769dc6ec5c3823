/** In which units the bench shows its figures, and how high the site lies. Kept on this device. */
import { type ReactNode, createContext, useContext, useState } from 'react';
import { atmosphereAt } from '../../core/quantity/atmosphere';
import { shownIn, type UnitSystem } from '../words/measures';

interface Kept {
  system: UnitSystem;
  altitudeM: number;
  refrigerant: string;
}

export interface BenchSetting extends Kept {
  /** Pa absolute at the site */
  atmosphere: number;
  change: (part: Partial<Kept>) => void;
  show: ReturnType<typeof shownIn>;
}

const KEY = 'abacus.bench';
const FIRST: Kept = { system: 'us', altitudeM: 0, refrigerant: 'R-448A' };

function kept(): Kept {
  try {
    return { ...FIRST, ...(JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<Kept>) };
  } catch {
    return FIRST;
  }
}

const Context = createContext<BenchSetting | null>(null);

export function BenchSettingProvider({ children }: { children: ReactNode }) {
  const [setting, setSetting] = useState(kept);
  const air = atmosphereAt(setting.altitudeM);
  const atmosphere = air.ok ? air.value : 101_325;
  const change = (part: Partial<Kept>) => {
    const next = { ...setting, ...part };
    localStorage.setItem(KEY, JSON.stringify(next));
    setSetting(next);
  };
  const show = shownIn(setting.system, atmosphere);
  return <Context value={{ ...setting, atmosphere, change, show }}>{children}</Context>;
}

export function useBench(): BenchSetting {
  const setting = useContext(Context);
  if (!setting) throw new Error('useBench needs <BenchSettingProvider> above it.');
  return setting;
}
