/* Which way imports may go: only downwards, as `rooms.cjs` says. */
const { core, house, server, web } = require('./rooms.cjs');

const TEST = '\\.(test|testkit)\\.tsx?$';
/** What starts by itself: the app, the server and its threads, the command lines, and calculators, found by their name. */
const STARTS =
  '^src/(web/(main|calculators/(pages/|work/bench\\.worker))|server/(main|apartStart|exports/threadWork|standings/standingThreadWork|imports/child|backups/child)|demo/write|cli/)';
const forbid = (name, from, to) => ({ name, severity: 'error', from, to });

/** A room imports itself and the rooms that it is given; tests may look further. */
const rulesOf = (place, rooms, besides = '') =>
  Object.entries(rooms).map(([room, given]) =>
    forbid(
      `${place}/${room}-imports-downwards`,
      { path: `^${place}/${room}/`, pathNot: TEST },
      { path: `^${place}/`, pathNot: `^${place}/(${[...new Set([room, ...given])].join('|')})/${besides}` },
    ),
  );

module.exports = {
  forbidden: [
    ...rulesOf('src/core', core, '|^src/core/result\\.ts$'),
    ...rulesOf('src', house),
    ...rulesOf('src/server', server, '|^src/server/(caller|clock|problem|apart)\\.ts$'),
    ...rulesOf('src/web', web),
    forbid('every-room-is-named', { path: '^src/', pathNot: `^src/(${Object.keys(house).join('|')})/` }, {}),
    forbid(
      'every-room-of-the-web-is-named',
      { path: '^src/web/', pathNot: `^src/web/((${Object.keys(web).join('|')})/|main\\.tsx$)` },
      {},
    ),
    forbid(
      'core-has-no-interface-or-database',
      { path: '^src/core/', pathNot: TEST },
      { path: 'node_modules/(react|express|drizzle-orm|@libsql|recharts)|^(fs|path|os|http)$' },
    ),
    forbid(
      'words-records-and-papers-have-no-interface',
      { path: '^src/(words|record|papers)/', pathNot: TEST },
      { path: 'node_modules/(react|express|drizzle-orm|@libsql|recharts)|^(fs|path|os|http)$' },
    ),
    forbid(
      'testkit-is-for-tests',
      { path: '^src/', pathNot: `${TEST}|^src/core/testkit/` },
      { path: '^src/core/testkit/' },
    ),
    forbid(
      'no-module-that-nothing-uses',
      { path: STARTS },
      {
        path: '^src/',
        pathNot: `${TEST}|${STARTS}|\\.d\\.ts$|^src/core/(testkit|refrigerant/samples)/|^src/demo/servedStory`,
        reachable: false,
      },
    ),
    forbid('no-cycles', {}, { circular: true }),
    forbid('no-test-imports', { pathNot: '\\.test\\.tsx?$|^e2e/|^bench/' }, { path: '\\.test\\.tsx?$' }),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
  },
};
