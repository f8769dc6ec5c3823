/** The hand-written part of the story, continued: hospital, orchard and the metric ferry terminal. */
import { drawingOf } from '../core/circuit/drawing';
import { MachineStory } from './machine';
import type { StoryWriter } from './writer';

const YEARS_AGO = (years: number): number => -Math.round(years * 365.25);
const EAST = 'America/New_York';

export function writeHospital(story: StoryWriter): void {
  story.sites.push({
    id: 'hospital',
    name: 'St Orla’s Hospital',
    timezone: EAST,
    altitudeM: 30,
    packs: ['us-ods', 'us-hfc', 'house'],
    leakRateMethod: [{ from: '2020-01-01', method: 'annualizing' }],
  });
  story.spaces.push({ id: 'kitchen', siteId: 'hospital', name: 'kitchen freezer' });
  const freezer = new MachineStory(
    story,
    {
      id: 'kitchen-freezer',
      siteId: 'hospital',
      name: 'Kitchen freezer',
      kind: 'walkIn',
      category: 'commercialRefrigeration',
      refrigerant: 'R-404A',
      installedOn: story.date(YEARS_AGO(8)),
      serves: ['kitchen'],
    },
    'lb',
  );
  freezer.fullCharge(YEARS_AGO(2), 'tobiah', 19);
  freezer.added(-230, 'ike', 0.5);
  const nut = freezer.found(-11, 'marit', 'flare nut at the expansion valve', 'box');
  freezer.added(-11, 'marit', 3.5, 'topOff', { leakId: nut, cylinderId: 'bottle-9' });
  freezer.repaired(-9, 'marit', nut, 'flare made again, seal renewed');
  freezer.passed(-9, 'marit', 'initial', [nut]);

  const small: [name: string, refrigerant: string, grams: number][] = [
    ['Ward 2 reach-in', 'R-290', 85],
    ['Ward 4 reach-in', 'R-290', 110],
    ['Pharmacy reach-in', 'R-290', 140],
    ['Kitchen prep table', 'R-134a', 255],
    ['Laboratory reach-in', 'R-134a', 340],
    ['Canteen reach-in', 'R-134a', 395],
  ];
  small.forEach(([name, refrigerant, charge], index) => {
    new MachineStory(
      story,
      {
        id: `reach-in-${String(index + 1)}`,
        siteId: 'hospital',
        name,
        kind: 'reachIn',
        category: 'commercialRefrigeration',
        refrigerant,
        hermetic: true,
        installedOn: story.date(-400 - index * 60),
      },
      'g',
    )
      .fullCharge(-400 - index * 60, 'ike', charge, 'maker')
      .inspected(-150 + index * 9, 'ike');
  });
  new MachineStory(
    story,
    {
      id: 'comfort-chiller',
      siteId: 'hospital',
      name: 'Comfort chiller',
      kind: 'chiller',
      category: 'comfortCooling',
      refrigerant: 'R-134a',
      installedOn: story.date(YEARS_AGO(9)),
      drawing: drawingOf({ layout: 'chiller', rooms: [], compressors: 2 }),
    },
    'lb',
  )
    .fullCharge(YEARS_AGO(9), 'marit', 310, 'maker')
    .inspected(-120, 'marit')
    .added(-500, 'marit', 4);
}

export function writeOrchard(story: StoryWriter): void {
  story.sites.push({
    id: 'orchard',
    name: 'Pellam Orchard Cold Store',
    timezone: EAST,
    altitudeM: 85,
    packs: ['us-ods', 'us-hfc', 'house'],
    leakRateMethod: [{ from: '2020-01-01', method: 'annualizing' }],
  });
  ['apple store 1', 'apple store 2'].forEach((name, index) =>
    story.spaces.push({ id: `po-${String(index + 1)}`, siteId: 'orchard', name }),
  );
  const plant = new MachineStory(
    story,
    {
      id: 'old-plant',
      siteId: 'orchard',
      name: 'Old plant',
      kind: 'other',
      category: 'commercialRefrigeration',
      refrigerant: 'R-22',
      serves: ['po-1', 'po-2'],
    },
    'lb',
  );
  plant.log('fullChargeSet', YEARS_AGO(4), 'ike', {
    method: 'range',
    low: { value: 170, unit: 'lb' },
    high: { value: 190, unit: 'lb' },
    note: 'no nameplate; range from the sister plant',
  });
  [-1130, -765, -400, -35].forEach((offset) =>
    plant.recovered(offset, 'ike', 40, 'seasonal', { cylinderId: 'bottle-17' }),
  );
  [-950, -585].forEach((offset) => plant.added(offset, 'ike', 40, 'seasonal', { cylinderId: 'bottle-17' }));
  plant.added(-220, 'ike', 46, 'seasonal', { cylinderId: 'bottle-17' });
  plant.inspected(-130, 'ike');
  const container = new MachineStory(
    story,
    {
      id: 'container-freezer',
      siteId: 'orchard',
      name: 'Container freezer',
      kind: 'walkIn',
      category: 'commercialRefrigeration',
      refrigerant: 'R-452A',
      installedOn: story.date(-800),
    },
    'lb',
  );
  container.inspected(-320, 'ike').added(-300, 'ike', 1.5);
  container.log('refrigerantAdded', -190, 'tobiah', {
    mass: null,
    massUnknown: 'no scale on the trailer',
    reason: 'topOff',
  });
  container.log('fullChargeSet', -150, 'ike', {
    method: 'range',
    low: { value: 10, unit: 'lb' },
    high: { value: 16, unit: 'lb' },
  });
  container.recovered(-70, 'ike', 11.4);
  container.added(-69, 'ike', 13, 'recharge');
  container.fullCharge(-69, 'ike', 13, 'weighed', 'weighed in after the conversion of the valve');
}

export function writeFerryTerminal(story: StoryWriter): void {
  story.sites.push({
    id: 'ferry',
    name: 'Kaldvik Ferry Terminal',
    timezone: 'Europe/Copenhagen',
    altitudeM: 3,
    packs: ['eu', 'house'],
    leakRateMethod: [{ from: '2020-01-01', method: 'rolling' }],
  });
  for (const number of [1, 2, 3]) {
    new MachineStory(
      story,
      {
        id: `galley-${String(number)}`,
        siteId: 'ferry',
        name: `Galley cooler ${String(number)}`,
        kind: 'reachIn',
        category: 'commercialRefrigeration',
        refrigerant: 'R-452A',
        installedOn: story.date(YEARS_AGO(3)),
        drawing: drawingOf({ layout: 'cabinetValve', rooms: [], coils: 2 }),
      },
      'kg',
    )
      .fullCharge(YEARS_AGO(3), 'marit', 6, 'maker')
      .inspected(number === 3 ? -372 : -240 - number * 30, 'marit');
  }
  const provisions = new MachineStory(
    story,
    {
      id: 'provision-freezer',
      siteId: 'ferry',
      name: 'Provision freezer',
      kind: 'walkIn',
      category: 'commercialRefrigeration',
      refrigerant: 'R-449A',
      installedOn: story.date(YEARS_AGO(5)),
    },
    'kg',
  );
  provisions.fullCharge(YEARS_AGO(5), 'marit', 31).inspected(-280, 'marit');
  const stem = provisions.found(-27, 'marit', 'service valve stem', 'condensing unit');
  provisions.repaired(-26, 'marit', stem, 'packing renewed, cap with a new seal');
  provisions.added(-26, 'marit', 2.4, 'topOff', { leakId: stem, cylinderId: 'bottle-18' });
}
