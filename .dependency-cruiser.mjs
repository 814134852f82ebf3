// Who may import whom: one table; docs/architecture.md says what the rooms are for. A row may import what its list names.
// Run twice: over all imports, and (DEPCRUISE=values) over those that are left when types are gone, for what is reachable.
const MAY = {
  core: ['core'],
  formats: ['formats', 'core'],
  widget: ['widget', 'core'],
  server: ['server', 'core', 'formats'],
  ui: ['ui', 'core', 'formats'],
  app: ['app', 'ui', 'server', 'core', 'formats'],
  workers: ['workers', 'core', 'formats'],
  demo: ['demo', 'server', 'core', 'formats'],
};
const TEST = '\\.test\\.tsx?$';
const VALUES_ONLY = process.env.DEPCRUISE === 'values';
const others = (name) =>
  Object.keys(MAY)
    .filter((one) => !MAY[name].includes(one))
    .join('|');
const rule = (name, from, to) => ({ name, severity: 'error', from, to });
const rows = Object.keys(MAY).map((name) =>
  rule(
    `${name}-imports-only-its-own`,
    { path: `^src/${name}/`, pathNot: TEST },
    { path: `^src/(${others(name)})/`, ...(name === 'ui' ? { pathNot: '^src/widget/preview\\.ts$' } : {}) },
  ),
);

/** The rooms of core in layers, type imports counted: a room imports rooms below its own layer only. */
const CORE_LAYERS = [
  ['model'],
  ['wire'],
  ['hours'],
  ['pages', 'look', 'forms', 'words', 'alerts'],
  ['context'],
  ['invitations'],
  ['decide'],
  ['rehearse'],
  ['findings'],
];
const core = (rooms) => `^src/core/(${rooms.join('|')})/`;
const layers = CORE_LAYERS.flatMap((rooms, index) =>
  rooms.map((room) =>
    rule(
      `core-${room}-imports-what-is-below-it`,
      { path: core([room]), pathNot: TEST },
      {
        path: core([
          ...CORE_LAYERS.slice(index)
            .flat()
            .filter((other) => other !== room),
          'publish',
          'draft',
        ]),
        // Findings are computed of what would be published, and of what differs in a draft.
        pathNot: room === 'findings' ? core(['publish', 'draft']) : 'nothing',
      },
    ),
  ),
);
layers.push(
  rule(
    'core-draft-imports-model-only',
    { path: core(['draft']), pathNot: TEST },
    { path: '^src/core/[a-z]+/', pathNot: core(['draft', 'model']) },
  ),
  rule(
    'core-publish-imports-what-it-compiles',
    { path: core(['publish']), pathNot: TEST },
    { path: core(['rehearse', 'findings']) },
  ),
  rule(
    'publish-is-for-findings-server-and-ui',
    { path: '^src/', pathNot: ['^src/(server|ui|app|demo)/', core(['publish', 'findings']), TEST] },
    { path: core(['publish']) },
  ),
);

const OVER_ALL = [
  ...layers,
  rule('no-type-cycles-in-core', { path: '^src/core/', pathNot: TEST }, { circular: true }),
  ...rows,
  rule('nothing-imports-app', { pathNot: '^(src/app|tests|scripts|bench)/' }, { path: '^src/app/' }),
  // culori/fn in look/, the CSS parser in look/own-css.ts, the ICU parser in words/compile.ts, data of languages in
  // publish/languages.ts, all at publish only.
  rule(
    'core-has-no-packages',
    {
      path: '^src/core/',
      pathNot: [
        TEST,
        '^src/core/look/',
        '^src/core/words/compile\\.ts$',
        '^src/core/publish/languages\\.ts$',
      ],
    },
    { path: 'node_modules|^(node:)?[a-z_]+$' },
  ),
  rule(
    'look-has-culori-only',
    { path: '^src/core/look/', pathNot: [TEST, '^src/core/look/own-css\\.ts$'] },
    { path: 'node_modules', pathNot: 'node_modules/(@types/)?culori' },
  ),
  rule(
    'own-css-has-the-css-parser-only',
    { path: '^src/core/look/own-css\\.ts$' },
    { path: 'node_modules', pathNot: 'node_modules/(@types/)?css-tree' },
  ),
  rule(
    'compile-has-the-icu-parser-only',
    { path: '^src/core/words/compile\\.ts$' },
    { path: 'node_modules', pathNot: '@formatjs/' },
  ),
  rule(
    'languages-has-cldr-only',
    { path: '^src/core/publish/languages\\.ts$' },
    { path: 'node_modules', pathNot: 'node_modules/cldr-core' },
  ),
  rule(
    'porch-has-no-packages',
    { path: '^src/widget/(visit/)?[^/]+\\.ts$', pathNot: TEST },
    { path: 'node_modules' },
  ),
  rule(
    'panel-has-preact-only',
    { path: '^src/widget/panel/', pathNot: TEST },
    { path: 'node_modules', pathNot: 'node_modules/preact' },
  ),
  rule(
    'sql-in-db-only',
    {
      path: '^src/(server|app|demo)/',
      pathNot: ['^src/server/(db/|[a-z]+/[a-z-]+\\.repository\\.ts$)', TEST],
    },
    { path: 'node_modules/(kysely|better-sqlite3)' },
  ),
  // Another engine under Kysely is a change of this one file, and of the migrations.
  rule(
    'sqlite-in-one-file',
    { path: '^src/', pathNot: ['^src/server/db/(open|driver)\\.ts$', TEST] },
    { path: 'node_modules/(@types/)?better-sqlite3' },
  ),
  rule(
    'validators-in-input-only',
    { path: '^src/server/', pathNot: ['^src/server/input/', TEST] },
    { path: 'node_modules/class-validator/' },
  ),
  rule('migrations-import-nothing-of-ours', { path: '^src/server/db/migrations/' }, { path: '^src/' }),
];

const OVER_VALUES = [
  rule('no-cycles', {}, { circular: true }),
  // What needs a parser is done at publish: it never ships in the widget.
  rule(
    'widget-never-compiles',
    { path: '^src/widget/', pathNot: [TEST, '^src/widget/preview\\.ts$'] },
    {
      path: '^src/core/(look/|publish/|words/(compile|texts-|catalogue)|decide/(decide|explain|because)\\.|draft/|rehearse/|(invitations|forms|hours)/compile|pages/(compile|pattern-tree))',
      reachable: true,
    },
  ),
  rule('client-never-reaches-server', { path: '^src/ui/' }, { path: '^src/server/', reachable: true }),
];

/** @type {import('dependency-cruiser').IConfiguration} */
export default {
  forbidden: VALUES_ONLY ? OVER_VALUES : OVER_ALL,
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: !VALUES_ONLY,
    tsConfig: { fileName: 'tsconfig.json' },
  },
};
