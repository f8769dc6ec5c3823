/** In which units the bench shows its figures, and how high the site lies. Kept on this device. */
import { type ReactNode, createContext, useContext, useState } from 'react';
import { SEA_LEVEL_PA, atmosphereAt } from '../../core/quantity/atmosphere';
import type { MassUnit } from '../../core/quantity/mass';
import { isRefrigerant } from '../../core/refrigerant/refrigerant';
import { readKept, writeKept } from '../data/device/kept';
import type { FormPlace } from '../../record/place';
import { type Show, type UnitSystem, readIn, shownIn } from '../../words/measures';

interface BenchSettings {
  system: UnitSystem;
  /** weights, where a machine is weighed in the other system */
  weights?: UnitSystem;
  altitudeM: number;
  /** null: of a machine whose refrigerant nobody knows yet */
  refrigerant: string | null;
}

export interface BenchSetting extends BenchSettings {
  /** Pa absolute at the site */
  atmosphere: number;
  /** what reading a field needs to know */
  place: FormPlace;
  change: (part: Partial<BenchSettings>) => void;
  show: Show;
}

const KEY = 'abacus.bench';
const FIRST: BenchSettings = { system: 'us', altitudeM: 0, refrigerant: 'R-448A' };

/** What an older version or another tab left is taken only where it still makes sense. */
function kept(): BenchSettings {
  const found = { ...FIRST, ...readKept<Partial<BenchSettings>>(KEY) };
  return {
    system: found.system === 'metric' ? 'metric' : 'us',
    altitudeM: atmosphereAt(found.altitudeM).ok ? found.altitudeM : FIRST.altitudeM,
    refrigerant:
      found.refrigerant !== null && isRefrigerant(found.refrigerant) ? found.refrigerant : FIRST.refrigerant,
  };
}

const Context = createContext<BenchSetting | null>(null);

/**
 * `machine`: the units, altitude and refrigerant of a machine that the tools are used on; nothing of it is kept then.
 * `units`: what somebody chose in place of the usual ones, as it stands now.
 */
export function BenchSettingProvider({
  machine,
  units = {},
  children,
}: {
  machine?: BenchSettings;
  units?: FormPlace['units'];
  children: ReactNode;
}) {
  const [setting, setSetting] = useState(() => machine ?? kept());
  const air = atmosphereAt(setting.altitudeM);
  const atmosphere = air.ok ? air.value : SEA_LEVEL_PA;
  const change = (part: Partial<BenchSettings>) => {
    const next = { ...setting, ...part };
    if (!machine) writeKept(KEY, next);
    setSetting(next);
  };
  const { system, weights = system } = setting;
  const place: FormPlace = {
    mass: readIn('mass', weights) as MassUnit,
    system,
    atmosphere,
    instruments: [],
    labels: new Map(),
    units,
  };
  const show = shownIn(system, atmosphere, weights);
  return <Context value={{ ...setting, atmosphere, place, change, show }}>{children}</Context>;
}

export function useBench(): BenchSetting {
  const setting = useContext(Context);
  if (!setting) throw new Error('useBench needs <BenchSettingProvider> above it.');
  return setting;
}
