/** The doors of core, lowest first: imports go down only. */
const DOORS = ['base', 'paint', 'flow', 'thickness', 'piece', 'picture', 'judgement', 'drill', 'registry'];
/** The rooms of the pages, lowest first: a station may use everything, nothing uses a station but its door. */
const FLOORS = [
  'shell',
  'api',
  'csv',
  'theme',
  'notice',
  'worker',
  'store',
  'words',
  'drawing',
  'shortcut',
  'field',
  'app',
  'station',
];

const above = (names, name) => names.slice(names.indexOf(name) + 1);

/** @type {import('dependency-cruiser').IConfiguration} */
module.exports = {
  forbidden: [
    {
      name: 'no-circles',
      comment: 'Two files that need each other are one idea in two places: put what both need below them.',
      severity: 'error',
      from: { pathNot: 'node_modules' },
      to: { circular: true },
    },
    {
      name: 'no-circles-of-rooms',
      comment: 'Two rooms of core that need each other: find what both need and give it a room below.',
      severity: 'error',
      scope: 'folder',
      from: { path: '^core/src/.+' },
      to: { circular: true },
    },
    ...DOORS.map((door) => ({
      name: `core-${door}-looks-down`,
      comment: `core/src/${door} stands below ${above(DOORS, door).join(', ')}.`,
      severity: 'error',
      from: { path: `^core/src/${door}/` },
      to: { path: `^core/src/(${[...above(DOORS, door), '-'].join('|')})/` },
    })),
    {
      name: 'picture-needs-base-and-paint',
      comment: 'What a photo says must not depend on what was planned.',
      severity: 'error',
      from: { path: '^core/src/picture/' },
      to: { path: '^core/src/(?!picture|base|paint)' },
    },
    {
      name: 'no-room-knows-a-stand-in',
      comment: 'A device that is simulated is plugged in where the application is put together.',
      severity: 'error',
      from: { path: '^server/src/[^/]+/', pathNot: '^server/src/(standin|task|demo|testing)/' },
      to: { path: '^server/src/standin/' },
    },
    ...FLOORS.map((floor) => ({
      name: `web-${floor}-looks-down`,
      comment: `web/src/${floor} stands below ${above(FLOORS, floor).join(', ')}.`,
      severity: 'error',
      from: { path: `^web/src/${floor}/`, pathNot: '^web/src/app/router' },
      to: { path: `^web/src/(${[...above(FLOORS, floor), '-'].join('|')})/` },
    })),
    {
      name: 'stations-stand-apart',
      comment: 'What two stations need goes to words, drawing or field.',
      severity: 'error',
      from: { path: '^web/src/station/([^/]+)/' },
      to: { path: '^web/src/station/', pathNot: '^web/src/station/$1/' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)(dist|bundle|node_modules)/|\\.test\\.ts$' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.check.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['source', 'import', 'require', 'node', 'default'],
    },
  },
};
