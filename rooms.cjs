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
  calculators: ['quantity', 'refrigerant', 'calculators'],
  circuit: ['quantity', 'logbook', 'circuit'],
  diagnosis: ['quantity', 'refrigerant', 'logbook', 'rules', 'calculators', 'circuit', 'diagnosis'],
  visit: ['quantity', 'refrigerant', 'logbook', 'rules', 'calculators', 'circuit', 'diagnosis', 'visit'],
};

/** Rooms beside the core. */
const house = {
  core: [],
  contract: ['core'],
  words: ['core', 'contract'],
  record: ['core', 'contract', 'words'],
  papers: ['core', 'contract', 'words', 'record'],
  sheets: ['core', 'contract', 'words'],
  server: ['core', 'contract', 'words', 'record', 'papers', 'sheets'],
  web: ['core', 'contract', 'words', 'record', 'papers', 'sheets'],
  demo: ['core', 'contract', 'server'],
  cli: ['core', 'contract', 'words', 'record', 'papers', 'sheets', 'server'],
};

/**
 * Rooms of the server, from the bottom; what stands beside them (callers, clock, problems, what runs apart) is known to all, and the
 * services wire them.
 */
const server = {
  store: [],
  files: ['store'],
  standings: ['store'],
  writing: ['store', 'files', 'standings'],
};

/** Layers of the web, from the bottom; rooms of one layer do not know each other, save where it is said. */
const shared = ['parts', 'data', 'forms'];
const several = ['calculators', 'drawing', 'panels'];
/** made of those below, used by several features */
const paper = [...shared, ...several];
const features = [
  'cylinders',
  'cases',
  'company',
  'due',
  'machine',
  'machines',
  'papers',
  'rules',
  'site',
  'visit',
];
const web = {
  parts: [],
  data: ['parts'],
  forms: ['parts', 'data'],
  ...Object.fromEntries(several.map((room) => [room, shared])),
  paper,
  ...Object.fromEntries(features.map((room) => [room, [...paper, 'paper']])),
  app: [...paper, 'paper', ...features],
};

module.exports = { core, house, server, web };
