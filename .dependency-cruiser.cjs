/** Who may import whom. Core stages stand in the order of the work and meet through `model`; `flow.ts` alone joins them. */
const stage = (name, ...mayUse) => ({
  name: `core-${name}`,
  severity: 'error',
  from: { path: `^core/src/${name}/` },
  to: { path: '^core/src/', pathNot: `^core/src/(${[name, ...mayUse].join('|')})/` },
});

module.exports = {
  forbidden: [
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      // Of types too: two files that need each other's shapes are one room with a wall in it.
      to: { circular: true },
    },
    stage('units'),
    stage('facts', 'units'),
    stage('findings'),
    stage('model', 'units', 'facts'),
    stage('listing', 'units', 'facts', 'findings', 'model'),
    stage('tones', 'units', 'facts', 'findings', 'model'),
    stage('check', 'units', 'facts', 'findings', 'model', 'rules', 'tones'),
    stage('rules', 'units', 'facts', 'findings', 'model'),
    stage('memory', 'units', 'facts', 'findings', 'model'),
    stage('fit', 'units', 'facts', 'findings', 'model', 'memory', 'rules', 'tones'),
    stage('formats', 'units', 'facts', 'findings', 'model', 'memory', 'fields'),
    stage('fields', 'units', 'facts', 'findings', 'model'),
    stage('interview', 'units', 'facts', 'findings', 'model', 'fit'),
    stage('stations', 'units', 'facts', 'findings', 'model', 'rules', 'fit'),
    stage('record', 'units', 'findings', 'model', 'memory', 'formats', 'procedure'),
    stage('air', 'units', 'facts', 'findings', 'model', 'memory', 'tones', 'stations'),
    stage('heard', 'units', 'findings', 'model', 'evidence', 'air', 'stations'),
    stage('cause'),
    stage('today', 'units', 'facts', 'findings', 'model', 'check', 'evidence', 'fit', 'stations'),
    stage('nets', 'units', 'model'),
    // A phone loads it: it takes types of the model, and no schema.
    stage('card', 'units', 'model', 'procedure'),
    {
      name: 'card-is-light',
      severity: 'error',
      from: { path: '^core/src/card/' },
      to: { path: '^core/src/(model|procedure)/', dependencyTypesNot: ['type-only'] },
    },
    stage('revision', 'model'),
    stage('calendar', 'model'),
    stage('astray', 'model', 'memory', 'procedure'),
    stage('bench', 'memory', 'model'),
    stage('evidence', 'model'),
    stage('verify', 'model', 'fit', 'procedure', 'rules'),
    // A set that a program loads is proven by its data file.
    // A virtual set hears by the same rule as all of them.
    stage('procedure', 'units', 'facts', 'findings', 'model', 'memory', 'fit', 'formats', 'tones'),
    {
      name: 'procedure-uses-types-of-fit-only',
      severity: 'error',
      from: { path: '^core/src/procedure/' },
      to: { path: '^core/src/fit/', dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'virtual-device-knows-no-sheets',
      severity: 'error',
      from: { path: '^core/src/procedure/device/' },
      to: {
        path: '^core/src/(fit|procedure/(sheet|step|runs|writer|typed|wheels|proof|replay|turns|until|visits))',
      },
    },
    {
      name: 'writer-knows-no-virtual-device',
      severity: 'error',
      from: { path: '^core/src/procedure/(sheet|step|writer|typed|wheels|turns|until|visits|marks)' },
      to: { path: '^core/src/procedure/(device/|proof|replay)' },
    },
    {
      name: 'core-is-alone',
      severity: 'error',
      from: { path: '^core/src/' },
      to: { pathNot: '^(core/src/|node_modules/zod/)' },
    },
    {
      name: 'islands-never-touch-the-server',
      severity: 'error',
      from: { path: '^web/src/(islands|components|ui|workers|messages)/' },
      to: { path: '^web/src/(server|pages)/|^node_modules/(pg|knex|pino)/' },
    },
    {
      name: 'contract-is-shared',
      severity: 'error',
      from: { path: '^web/src/contract/' },
      to: { pathNot: '^(web/src/contract/|core/src/|node_modules/zod/)' },
    },
    {
      name: 'migrations-import-no-application',
      severity: 'error',
      from: { path: '^web/migrations/' },
      to: { path: '^(web/src|core)/' },
    },
    {
      name: 'not-to-unresolvable',
      severity: 'error',
      from: {},
      to: { couldNotResolve: true, pathNot: '\\?|^astro:' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'node', 'default'] },
  },
};
