/** Random but plausible entries of one machine, from a seed. For measuring only; tests have their own. */
import type { Entry } from '../src/core/logbook/entry';
import { addDays, dayOf, dayText } from '../src/core/quantity/day';
import { seeded } from '../src/core/testkit/seeded';

export function randomEntries(count: number, seed: number, applianceId = 'a'): Entry[] {
  const random = seeded(seed);
  const first = dayOf('2016-01-01');
  const entries: Entry[] = [];
  const push = (on: string, rest: object) => {
    const index = entries.length;
    entries.push({
      id: `019a0000-${String(index).padStart(4, '0')}-7000-8000-${String(seed).padStart(12, '0')}`,
      on,
      at: `${on}T09:${String(index % 60).padStart(2, '0')}:00-06:00`,
      recordedAt: `${on}T18:00:00Z`,
      by: 'p1',
      applianceId,
      note: 'as found, written on the machine',
      ...rest,
    } as Entry);
  };
  push('2016-01-01', { kind: 'fullChargeSet', method: 'weighed', mass: { value: 640, unit: 'lb' } });
  for (let index = 1; index < count; index += 1) {
    const on = dayText(addDays(first, Math.floor((index / count) * 3900)));
    const leakId = `k${String(seed)}-${String(Math.floor(index / 12))}`;
    const roll = random();
    if (roll < 0.35) {
      const value = Math.round(random() * 300) / 10;
      push(on, {
        kind: 'refrigerantAdded',
        mass: { value, unit: 'lb' },
        reason: 'topOff',
        leakId: random() < 0.5 ? leakId : null,
      });
    } else if (roll < 0.45)
      push(on, { kind: 'refrigerantRecovered', mass: { value: 4, unit: 'lb' }, reason: 'repair' });
    else if (roll < 0.55) push(on, { kind: 'leakFound', leakId, component: 'valve nut', location: 'roof' });
    else if (roll < 0.65)
      push(on, { kind: 'leakRepaired', leakId, how: 'nut renewed', evacuated: random() < 0.3 });
    else if (roll < 0.75)
      push(on, { kind: 'verificationTest', stage: 'initial', result: random() < 0.8 ? 'pass' : 'fail' });
    else if (roll < 0.85) push(on, { kind: 'verificationTest', stage: 'followUp', result: 'pass' });
    else if (roll < 0.95) push(on, { kind: 'leakInspection', methods: ['electronic'] });
    else push(on, { kind: 'readings', suction: '22 psig' });
  }
  return entries;
}
