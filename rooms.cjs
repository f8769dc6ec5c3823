/**
 * The rooms of the house, each with what it may import from: only what stands before it. The dependency check and the
 * drawing in CONTRIBUTING.md are both made from this. See docs/decisions/0001.
 */

/** Rooms of the core, from the bottom. */
const core = {
  quantity: ['quantity'],
  refrigerant: ['quantity', 'refrigerant'],
  logbook: ['quantity', 'refrigerant', 'logbook'],
  rules: ['quantity', 'refrigerant', 'logbook', 'rules'],
  bench: ['quantity', 'refrigerant', 'bench'],
  judge: ['quantity', 'refrigerant', 'logbook', 'rules', 'bench', 'judge'],
  visit: ['quantity', 'refrigerant', 'logbook', 'rules', 'bench', 'judge', 'visit'],
};

/** Rooms beside the core. */
const house = {
  core: [],
  contract: ['core'],
  words: ['core'],
  record: ['core', 'contract', 'words'],
  server: ['core', 'contract', 'words', 'record'],
  web: ['core', 'contract', 'words', 'record'],
  demo: ['core', 'contract', 'server'],
  cli: ['core', 'contract', 'words', 'record', 'server'],
};

/** Layers of the web, from the bottom; rooms of one layer do not know each other, save where it is said. */
const shared = ['parts', 'data', 'forms'];
const several = ['calculators', 'drawing', 'panels', 'photos'];
const features = [
  'bench',
  'bottles',
  'cases',
  'company',
  'due',
  'machine',
  'machines',
  'rules',
  'site',
  'visit',
];
const web = {
  parts: [],
  data: ['parts'],
  forms: ['parts', 'data'],
  ...Object.fromEntries(several.map((room) => [room, shared])),
  ...Object.fromEntries(features.map((room) => [room, [...shared, ...several]])),
  app: [...shared, ...several, ...features],
};

module.exports = { core, house, web };
