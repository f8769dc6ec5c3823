/* The rooms of the house and which way imports may go: only downwards. See docs/decisions/0001. */
const below = {
  quantity: ['quantity'],
  refrigerant: ['quantity', 'refrigerant'],
  logbook: ['quantity', 'refrigerant', 'logbook'],
  rules: ['quantity', 'refrigerant', 'logbook', 'rules'],
  bench: ['quantity', 'refrigerant', 'bench'],
  judge: ['quantity', 'refrigerant', 'logbook', 'rules', 'bench', 'judge'],
  visit: ['quantity', 'refrigerant', 'logbook', 'rules', 'bench', 'judge', 'visit'],
};
const coreRules = Object.entries(below).map(([room, allowed]) => ({
  name: `core-${room}-imports-downwards`,
  severity: 'error',
  from: { path: `^src/core/${room}/`, pathNot: '\\.test\\.ts$' },
  to: { path: '^src/core/', pathNot: `^src/core/(${allowed.join('|')}|result\\.ts)` },
}));
module.exports = {
  forbidden: [
    ...coreRules,
    {
      name: 'core-stands-alone',
      severity: 'error',
      from: { path: '^src/core/' },
      to: { path: '^src/(?!core/)' },
    },
    {
      name: 'core-has-no-interface-or-database',
      severity: 'error',
      from: { path: '^src/core/', pathNot: '\\.test\\.ts$' },
      to: { path: 'node_modules/(react|express|drizzle-orm|@libsql|recharts)|^(fs|path|os|http)$' },
    },
    {
      name: 'contract-imports-core-only',
      severity: 'error',
      from: { path: '^src/contract/' },
      to: { path: '^src/(server|web|demo|cli)/' },
    },
    {
      name: 'web-never-imports-server',
      severity: 'error',
      from: { path: '^src/web/' },
      to: { path: '^src/(server|demo|cli)/' },
    },
    {
      name: 'server-never-imports-web',
      severity: 'error',
      from: { path: '^src/server/', pathNot: '\\.test\\.ts$' },
      to: { path: '^src/(web|demo|cli)/' },
    },
    {
      name: 'testkit-is-for-tests',
      severity: 'error',
      from: { path: '^src/', pathNot: '\\.test\\.tsx?$|^src/core/testkit/' },
      to: { path: '^src/core/testkit/' },
    },
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'no-test-imports',
      severity: 'error',
      from: { pathNot: '\\.test\\.tsx?$|^e2e/|^bench/' },
      to: { path: '\\.test\\.tsx?$' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
  },
};
