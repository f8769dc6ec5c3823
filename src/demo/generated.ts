/** The generated part: streets of small machines and two large sites, four years of quiet, well-kept work. */
import type { Appliance, Site } from '../core/logbook/tables';
import { MachineStory } from './machine';
import { TECHNICIANS } from './people';
import type { StoryWriter } from './writer';

interface Model {
  label: string;
  kind: Appliance['kind'];
  refrigerants: readonly string[];
  low: number;
  high: number;
  hermetic?: boolean;
}

const SHOP_MODELS: readonly Model[] = [
  {
    label: 'reach-in',
    kind: 'reachIn',
    refrigerants: ['R-134a', 'R-404A'],
    low: 0.6,
    high: 2.5,
    hermetic: true,
  },
  {
    label: 'prep table',
    kind: 'reachIn',
    refrigerants: ['R-290', 'R-134a'],
    low: 0.2,
    high: 0.9,
    hermetic: true,
  },
  { label: 'walk-in cooler', kind: 'walkIn', refrigerants: ['R-134a', 'R-448A', 'R-407A'], low: 8, high: 22 },
  { label: 'walk-in freezer', kind: 'walkIn', refrigerants: ['R-404A', 'R-449A'], low: 9, high: 24 },
  { label: 'ice machine', kind: 'iceMachine', refrigerants: ['R-404A'], low: 2, high: 6 },
];
const HALL_MODELS: readonly Model[] = [
  {
    label: 'condensing unit',
    kind: 'condensingUnit',
    refrigerants: ['R-448A', 'R-449A', 'R-407A'],
    low: 18,
    high: 70,
  },
  { label: 'walk-in freezer', kind: 'walkIn', refrigerants: ['R-404A', 'R-449A'], low: 16, high: 40 },
  { label: 'rack', kind: 'rack', refrigerants: ['R-448A', 'R-513A', 'R-407A'], low: 220, high: 480 },
];
const DAIRY_MODELS: readonly Model[] = [
  { label: 'milk tank', kind: 'milkTank', refrigerants: ['R-404A', 'R-22', 'R-407A'], low: 20, high: 60 },
  { label: 'condensing unit', kind: 'condensingUnit', refrigerants: ['R-448A', 'R-134a'], low: 18, high: 90 },
  { label: 'process chiller', kind: 'chiller', refrigerants: ['R-513A', 'R-134a'], low: 120, high: 260 },
];
const SHOPS = [
  'Baker',
  'Butcher',
  'Cheesemonger',
  'Florist',
  'Grocer',
  'Ice parlour',
  'Cook shop',
  'Wine cellar',
  'Greengrocer',
  'Tea room',
];
const PARTS = [
  'flare nut',
  'Schrader core',
  'U-bend',
  'rubbed liquid line',
  'sight glass',
  'valve stem',
  'drier joint',
];
const REPAIRS = [
  'made again',
  'core renewed',
  'brazed under nitrogen',
  'sleeved and brazed',
  'seal renewed',
  'packing renewed',
];

const FIRST_DAY = -1440;

/** Four years of one machine: installed, inspected, now and then topped off, each leak repaired and tested. */
function writeMachine(
  story: StoryWriter,
  site: Site,
  name: string,
  model: Model,
  id: string,
  inspectEvery: number,
): void {
  const pounds = Math.round(story.between(model.low, model.high) * 10) / 10;
  const installed = FIRST_DAY - Math.floor(story.between(0, 1500));
  const machine = new MachineStory(
    story,
    {
      id,
      siteId: site.id,
      name,
      kind: model.kind,
      category: model.kind === 'chiller' ? 'industrialProcess' : 'commercialRefrigeration',
      refrigerant: story.oneOf(model.refrigerants),
      hermetic: model.hermetic ?? false,
      installedOn: story.date(installed),
    },
    'lb',
  );
  machine.fullCharge(installed, 'marit', pounds, model.hermetic ? 'maker' : 'weighed');
  for (
    let day = FIRST_DAY + story.between(0, 60);
    day < -12;
    day += inspectEvery * story.between(0.85, 0.99)
  ) {
    machine.inspected(Math.round(day), story.oneOf(TECHNICIANS));
  }
  for (let day = FIRST_DAY + story.between(30, 400); day < -20; day += story.between(260, 520)) {
    writeTopOff(story, machine, Math.round(day), pounds);
  }
}

/** A small leak, found, repaired and tested, with the gas that made it good; well below every threshold. */
function writeTopOff(story: StoryWriter, machine: MachineStory, day: number, pounds: number): void {
  const by = story.oneOf(TECHNICIANS);
  const leak = machine.found(day, by, story.oneOf(PARTS), story.oneOf(['roof', 'box', 'machine room']));
  machine.repaired(day, by, leak, story.oneOf(REPAIRS));
  machine.passed(day, by, 'initial', [leak]);
  machine.added(day, by, Math.max(0.02, pounds * story.between(0.01, 0.055)), 'topOff', { leakId: leak });
  machine.inspected(day, by);
  machine.passed(day + 6, story.oneOf(TECHNICIANS), 'followUp', [leak]);
}

const siteOf = (id: string, name: string, packs: Site['packs']): Site => ({
  id,
  name,
  timezone: 'America/New_York',
  altitudeM: 12,
  packs,
  leakRateMethod: [{ from: '2020-01-01', method: 'annualizing' }],
});

export function writeGeneratedSites(story: StoryWriter): void {
  const street = siteOf('fennel-row', 'Fennel Row', ['us-ods', 'us-hfc', 'house']);
  const halls = siteOf('halls', 'Wexmoor Market Halls', ['us-ods', 'us-hfc', 'house']);
  const dairy = siteOf('dairy', 'Tarn Hill Dairy', ['us-ods', 'us-hfc', 'us-ca', 'house']);
  story.sites.push(street, halls, dairy);
  for (let number = 1; number <= 40; number += 1) {
    const model = SHOP_MODELS[number % SHOP_MODELS.length] ?? SHOP_MODELS[0];
    const shop = SHOPS[Math.floor(((number - 1) * SHOPS.length) / 40)];
    if (model)
      writeMachine(
        story,
        street,
        `${shop ?? 'Shop'} ${String(number)} ${model.label}`,
        model,
        `fennel-${String(number)}`,
        330,
      );
  }
  for (let number = 1; number <= 26; number += 1) {
    const model = HALL_MODELS[number % HALL_MODELS.length] ?? HALL_MODELS[0];
    if (model)
      writeMachine(
        story,
        halls,
        `Hall ${String(Math.ceil(number / 3))} ${model.label} ${String(number)}`,
        model,
        `hall-${String(number)}`,
        180,
      );
  }
  for (let number = 1; number <= 20; number += 1) {
    const model = DAIRY_MODELS[number % DAIRY_MODELS.length] ?? DAIRY_MODELS[0];
    if (model)
      writeMachine(
        story,
        dairy,
        `Shed ${String(Math.ceil(number / 4))} ${model.label} ${String(number)}`,
        model,
        `dairy-${String(number)}`,
        84,
      );
  }
}
