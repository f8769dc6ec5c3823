/** The hand-written part of the story: the contractor's large sites, each showing something of the rules. */
import { drawingOf } from '../core/circuit/drawing';
import { MachineStory } from './machine';
import type { StoryWriter } from './writer';

const YEARS_AGO = (years: number): number => -Math.round(years * 365.25);
const EAST = 'America/New_York';

export function writeFishHall(story: StoryWriter): void {
  story.sites.push({
    id: 'fish-hall',
    name: 'Almery Fish Hall',
    timezone: EAST,
    altitudeM: 6,
    packs: ['us-ods', 'us-hfc', 'house'],
    leakRateMethod: [{ from: '2020-01-01', method: 'annualizing' }],
  });
  const rooms = [
    'auction hall',
    'ice store',
    'fillet room',
    'shellfish room',
    'freezer 1',
    'freezer 2',
    'loading dock',
  ];
  rooms.forEach((name, index) =>
    story.spaces.push({ id: `fh-${String(index + 1)}`, siteId: 'fish-hall', name }),
  );

  writeRackB(story);
  writeRackA(story);
  writeIceMakers(story);
}

function writeRackB(story: StoryWriter): void {
  const rackB = new MachineStory(
    story,
    {
      id: 'rack-b',
      siteId: 'fish-hall',
      name: 'Rack B',
      kind: 'rack',
      category: 'commercialRefrigeration',
      refrigerant: 'R-507A',
      installedOn: story.date(YEARS_AGO(10.5)),
      automaticDetection: 'none',
      serves: ['fh-5', 'fh-6'],
      drawing: drawingOf({ layout: 'rack', rooms: ['freezer 1', 'freezer 2'], compressors: 4 }),
    },
    'lb',
  );
  rackB.fullCharge(YEARS_AGO(10.5), 'marit', 820, 'weighed', 'first good weigh-in, both receivers half full');
  rackB.added(-580, 'ike', 12);
  rackB.inspected(-400, 'ike').inspected(-310, 'tobiah').inspected(-214, 'tobiah').inspected(-118, 'marit');
  rackB.added(-94, 'tobiah', 9.5, 'topOff', { cylinderId: 'bottle-5' });
  const header = rackB.found(-24, 'tobiah', 'suction header joint', 'machine room');
  const valve = rackB.found(-23, 'tobiah', 'expansion valve body', 'freezer 2');
  rackB.added(-24, 'tobiah', 64, 'topOff', { cylinderId: 'bottle-5', note: 'liquid level back at 40 %' });
  rackB.recovered(-20, 'marit', 210, 'repair', { cylinderId: 'bottle-8' });
  rackB.repaired(-20, 'marit', header, 'two joints brazed again under nitrogen', true);
  rackB.passed(-20, 'marit', 'initial', [header]);
  rackB.added(-19, 'marit', 210, 'recharge', { cylinderId: 'bottle-8' });
  rackB.log('normalOperation', -19, 'marit');
  rackB.log('extension', -18, 'odalys', {
    ground: 'parts',
    partsDeliveredOn: null,
    why: `valve for ${valve} on order, eight weeks`,
  });
}

function writeRackA(story: StoryWriter): void {
  const rackA = new MachineStory(
    story,
    {
      id: 'rack-a',
      siteId: 'fish-hall',
      name: 'Rack A',
      kind: 'rack',
      category: 'commercialRefrigeration',
      refrigerant: 'R-448A',
      installedOn: story.date(YEARS_AGO(7)),
      automaticDetection: 'part',
      serves: ['fh-1', 'fh-2', 'fh-3', 'fh-4', 'fh-7'],
    },
    'lb',
  );
  rackA.fullCharge(YEARS_AGO(7), 'marit', 640);
  rackA.added(-700, 'ike', 14);
  rackA.inspected(-640, 'ike').inspected(-540, 'ike');
  const flare = rackA.found(-324, 'ike', 'flare nut, circuit 9', 'fillet room');
  rackA.added(-324, 'ike', 130, 'topOff', { leakId: flare });
  rackA.repaired(-323, 'ike', flare, 'flare cut and made again');
  rackA.passed(-323, 'ike', 'initial', [flare]).passed(-315, 'marit', 'followUp', [flare]);
  rackA.inspected(-228, 'marit').inspected(-136, 'marit').inspected(-44, 'tobiah');
}

function writeIceMakers(story: StoryWriter): void {
  for (const number of [1, 2]) {
    const maker = new MachineStory(
      story,
      {
        id: `ice-maker-${String(number)}`,
        siteId: 'fish-hall',
        name: `Ice maker ${String(number)}`,
        kind: 'iceMachine',
        category: 'commercialRefrigeration',
        refrigerant: 'R-404A',
        installedOn: story.date(YEARS_AGO(6)),
        serves: ['fh-2'],
      },
      'lb',
    );
    maker.fullCharge(YEARS_AGO(6), 'tobiah', 22, 'maker').inspected(-290, 'tobiah');
    if (number === 2) {
      const wrong = maker.added(-160, 'ike', 11);
      maker.added(-160, 'ike', 1.1, 'topOff', { supersedes: wrong, correctionReason: 'point forgotten' });
    }
  }
}

export function writeFlowerExchange(story: StoryWriter): void {
  story.sites.push({
    id: 'flowers',
    name: 'Saffron Quay Flower Exchange',
    timezone: EAST,
    altitudeM: 4,
    packs: ['us-ods', 'us-hfc', 'house'],
    leakRateMethod: [{ from: '2020-01-01', method: 'annualizing' }],
  });
  ['rose room', 'bulb room', 'orchid room', 'dispatch'].forEach((name, index) =>
    story.spaces.push({ id: `fx-${String(index + 1)}`, siteId: 'flowers', name }),
  );
  const cooler = (number: number, pounds: number, serves: string[]) => {
    const machine = new MachineStory(
      story,
      {
        id: `flower-${String(number)}`,
        siteId: 'flowers',
        name: `Flower room ${String(number)}`,
        kind: 'walkIn',
        category: 'commercialRefrigeration',
        refrigerant: 'R-134a',
        installedOn: story.date(YEARS_AGO(5)),
        serves,
      },
      'lb',
    );
    return machine.fullCharge(YEARS_AGO(5), 'ike', pounds);
  };
  cooler(1, 16, ['fx-1']).inspected(-200, 'ike');
  const slow = cooler(2, 22, ['fx-2', 'fx-3']);
  slow.added(-420, 'ike', 0.6);
  slow.added(-300, 'ike', 0.9);
  slow.added(-190, 'tobiah', 0.9, 'topOff', { note: 'rose a few ounces at a time, glass clear after' });
  slow.added(-61, 'ike', 1.1, 'topOff', {
    cylinderId: 'bottle-12',
    note: 'oil at the distributor, no bubbles',
  });
  cooler(3, 28, ['fx-4']).added(-250, 'marit', 0.8);
}

export function writeIceRink(story: StoryWriter): void {
  story.sites.push({
    id: 'rink',
    name: 'Northlight Ice Rink',
    timezone: EAST,
    altitudeM: 110,
    packs: ['us-ods', 'us-hfc', 'house'],
    leakRateMethod: [{ from: '2020-01-01', method: 'rolling' }],
  });
  story.spaces.push({ id: 'ice', siteId: 'rink', name: 'main ice' });
  const circuit = (number: number) => {
    const machine = new MachineStory(
      story,
      {
        id: `rink-${String(number)}`,
        siteId: 'rink',
        name: `Chiller circuit ${String(number)}`,
        kind: 'chiller',
        category: 'industrialProcess',
        refrigerant: 'R-507A',
        installedOn: story.date(YEARS_AGO(16)),
        serves: ['ice'],
        assembly: 'Chiller',
      },
      'lb',
    );
    return machine.fullCharge(YEARS_AGO(4), 'marit', 410);
  };
  circuit(1).inspected(-330, 'marit').inspected(-40, 'marit');
  const worn = circuit(2);
  [-690, -610, -540, -460, -400, -340].forEach((offset) => worn.added(offset, 'marit', 92));
  const barrel = worn.found(-286, 'marit', 'tube sheet', 'chiller barrel');
  worn.added(-286, 'marit', 70, 'topOff', { leakId: barrel });
  worn.log('planFiled', -262, 'odalys', { plan: 'retrofit' });
  worn.recovered(-240, 'marit', 180);
  worn.repaired(-240, 'marit', barrel, 'tube plugged', true);
  worn.passed(-240, 'marit', 'initial', [barrel]);
  worn.added(-239, 'marit', 180, 'recharge');
  worn.log('normalOperation', -238, 'marit');
  worn.passed(-232, 'ike', 'followUp', [barrel]);
}
