/** A new machine from what its form holds: row, spaces, charge and what is known of it. */
import { describe, expect, test } from 'vitest';
import { dayOf } from '../../core/quantity/day';
import { placeOf } from '../../record/place';
import { FIRST, MORE, freshMachine, makeIds, newMachineOf } from './addMachineForm';

const US = placeOf('lb', { packs: ['us-hfc'] });
const made = (typed: object, by: string | null = 'marit') =>
  newMachineOf(
    { ...freshMachine('quay'), ...typed },
    { ids: makeIds(), by, today: dayOf('2026-11-23'), place: US },
  );
const COOLER = {
  name: ' Cooler ',
  kind: 'walkIn',
  category: 'commercialRefrigeration',
  refrigerant: 'R-448A',
};

describe('a new machine', () => {
  test('asks what nobody may guess: name, kind, category, refrigerant, and who writes', () => {
    expect(Object.keys(made({}, null).errors)).toEqual(['name', 'kind', 'category', 'refrigerant', 'by']);
    expect(
      Object.keys(
        newMachineOf(freshMachine(''), { ids: makeIds(), by: 'marit', today: dayOf('2026-11-23'), place: US })
          .errors,
      ),
    ).toContain('siteId');
  });
  test('is its row; the logbook answers from today, and nothing else is claimed', () => {
    const { machine, errors } = made(COOLER);
    expect(errors).toEqual({});
    expect(machine?.entries).toEqual([]);
    expect(machine?.appliance).toMatchObject({
      siteId: 'quay',
      name: 'Cooler',
      kind: 'walkIn',
      refrigerant: 'R-448A',
      recordFrom: '2026-11-23',
      serves: [],
    });
    expect(made({ ...COOLER, refrigerant: 'unknown' }).machine?.appliance.refrigerant).toBeNull();
  });
  test('takes its charge as an entry of the day of installation, by whoever says how it is known', () => {
    expect(made({ ...COOLER, mass: '19 lb 8 oz' }).errors).toEqual({ method: 'Choose one.' });
    const charged = made({ ...COOLER, mass: '19.5', method: 'maker', installedOn: '2020-03-01' });
    expect(charged.machine?.entries).toMatchObject([
      {
        kind: 'fullChargeSet',
        on: '2020-03-01',
        by: 'marit',
        method: 'maker',
        mass: { value: 19.5, unit: 'lb' },
      },
    ]);
    const range = made({ ...COOLER, mass: '18', method: 'range', low: '18 lb', high: '22 lb' });
    expect(range.machine?.entries).toMatchObject([
      { method: 'range', low: { value: 18, unit: 'lb' }, high: { value: 22, unit: 'lb' } },
    ]);
    expect(made({ ...COOLER, mass: 'a lot', method: 'maker' }).errors).toHaveProperty('mass');
  });
  test('brings its spaces, its last inspection, and no day that has not come', () => {
    const { machine } = made({ ...COOLER, spaces: 'rose room, , bulb room', inspectedOn: '2026-05-04' });
    expect(machine?.spaces.map(({ name, siteId }) => [name, siteId])).toEqual([
      ['rose room', 'quay'],
      ['bulb room', 'quay'],
    ]);
    expect(machine?.appliance.serves).toEqual(machine?.spaces.map(({ id }) => id));
    expect(machine?.entries).toMatchObject([{ kind: 'leakInspection', on: '2026-05-04' }]);
    expect(made({ ...COOLER, installedOn: '2026-11-24' }).errors).toHaveProperty('installedOn');
  });
  test('asks of comfort cooling whether it is light commercial, and of nothing else', () => {
    const asked = (category: string) =>
      [...FIRST, ...MORE].some(
        (field) => field.key === 'lightCommercialAirConditioning' && field.when?.({ category }),
      );
    expect([asked('comfortCooling'), asked('commercialRefrigeration')]).toEqual([true, false]);
    expect(
      made({ ...COOLER, category: 'comfortCooling', lightCommercialAirConditioning: true }).machine
        ?.appliance,
    ).toMatchObject({ lightCommercialAirConditioning: true });
  });
});
