import angular from 'angular-eslint';
import prettier from 'eslint-config-prettier';
import tseslint from 'typescript-eslint';
import layers from './tools/eslint-layers.mjs';

/**
 * Folders of the core in the order in which they may know one another, each with its own parts in their order:
 * each knows those before it.
 */
const LAYERS = {
  lib: ['derive', 'faults', 'random', 'vec', 'units'],
  trade: ['stock', 'threads', 'ends', 'glossary'],
  shape: [
    'survey',
    'tube',
    'obstacles',
    'rod',
    'clips',
    'formats',
    'mesh',
    'taping',
    'pathfinding',
    'bending',
  ],
  physics: ['flow-graph', 'hydraulics', 'air', 'bleeding', 'proof-tests', 'nesting', 'wheel-ends'],
  plan: ['model', 'layout', 'network', 'edits', 'file', 'results'],
  stations: ['join', 'route', 'measure', 'make', 'fit', 'fill', 'prove'],
  inspect: ['rule-kit', 'rules'],
  proposals: ['layouts', 'routes', 'set-out'],
  verbs: [],
  testing: [],
};
const UI = [
  '@angular/*',
  'rxjs',
  'rxjs/*',
  'three',
  'three/*',
  'dexie',
  'chart.js',
  'express',
  '**/app/**',
  '**/server/**',
  '**/cli/**',
];
/** Folders of the app likewise: what is drawn and typed knows no open plan; stations know everything but the shell round them. */
const PAGE_LAYERS = [
  ['kit'],
  ['scene'],
  ['storage', 'worker', 'session'],
  ['pieces'],
  ['stations', 'practice', 'plans'],
  ['shell'],
];
/** The registry says by data alone what stations there are: whoever leads to a place reads it. */
const outOfReach = (folder, above) =>
  above.length
    ? [
        {
          regex: `^(\\.\\.?/)+(${above.join('|')})/(?!registry$)`,
          message: `${folder} must not know what builds on it`,
        },
      ]
    : [];

/** What the core may not import: it computes, and runs in a browser, a worker and a shell alike. */
const outside = (ui) => ({
  'no-restricted-imports': [
    'error',
    {
      patterns: [
        { group: ui, message: 'the core must not depend on interface or server code' },
        { group: ['node:*', 'fs', 'path'], message: 'the core must also run in the browser' },
      ],
    },
  ],
});
/** Functions that are better whole, each for its own reason; every other keeps to the limits. */
const WHOLE = [
  // Numerical kernels: what they share in a loop is their state, and a call for each step would cost more than it tells.
  'core/src/shape/rod/rod.ts',
  'core/src/shape/pathfinding/search.ts',
  'core/src/physics/nesting/{least,relax}.ts',
  'core/src/stations/fit/tasks/session.ts',
  'core/src/trade/ends/adapt.ts',
  'core/src/plan/layout/close-crossings.ts',
  'app/src/scene/tube-geometry.ts',
  // One case a kind: read as the table that they are.
  'core/src/plan/model/check.ts',
  'core/src/stations/fill/instructions.ts',
  'core/src/stations/prove/fault-tables.ts',
  'core/src/trade/ends/section-pieces.ts',
  'core/src/lib/units/length.ts',
];
/** Files over 300 lines that are better whole, with the reason. */
const LONG = [
  // A picture and what a pointer does on it.
  'app/src/scene/{space-view,stage}.ts',
  'app/src/stations/plumb/circuit-drawing.ts',
  // The store of the open plan: its guards hold one another.
  'app/src/session/plan-store.ts',
  // A page whose template is more than half of it, and is read beside the class that it shows.
  'app/src/plans/plans-page.ts',
  'app/src/shell/shell.ts',
  'app/src/stations/fill/{plan-page,run-page}.ts',
  'app/src/stations/fit/{task-detail,tasks-page}.ts',
  'app/src/stations/make/{card-page,cuts-page}.ts',
  'app/src/stations/prove/curve-page.ts',
  'app/src/stations/route/route-station.ts',
  // One class of state that a step changes.
  'core/src/physics/air/sim.ts',
  // Tables: answers of the set-out, verbs of the command line, terms with their drawings.
  'core/src/trade/glossary/entries.ts',
  'core/src/proposals/set-out/{answers,motorcycle-things}.ts',
  'core/src/verbs/verbs.ts',
];
const CODE_ALONE = { skipBlankLines: true, skipComments: true };
const CORE = { files: ['core/src/**/*.ts'], ignores: ['**/*.spec.ts', 'core/src/testing/**'] };

export default tseslint.config(
  { ignores: ['**/dist/**', '**/.angular/**', '**/node_modules/**', 'demo/**', 'docs/**'] },
  {
    files: ['**/*.ts'],
    extends: [tseslint.configs.recommended],
    rules: {
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_' },
      ],
      '@typescript-eslint/no-explicit-any': 'error',
      'prefer-const': 'error',
      eqeqeq: 'error',
    },
  },
  {
    files: ['**/*.spec.ts'],
    rules: {
      '@typescript-eslint/no-explicit-any': 'off',
      '@typescript-eslint/no-unused-expressions': 'off',
    },
  },
  {
    files: ['{app,core,cli,server}/src/**/*.ts'],
    ignores: ['**/*.spec.ts', 'core/src/testing/**', ...WHOLE],
    rules: {
      'max-statements': ['error', 25],
      complexity: ['error', 21],
    },
  },
  {
    files: ['{app,core,cli,server}/src/**/*.ts'],
    ignores: ['**/*.spec.ts', 'core/src/testing/**', ...WHOLE, ...LONG],
    rules: {
      'max-lines': ['error', { max: 300, ...CODE_ALONE }],
      'max-lines-per-function': ['error', { max: 80, ...CODE_ALONE }],
    },
  },
  { ...CORE, plugins: { layers }, rules: { ...outside(UI), 'layers/order': ['error', LAYERS] } },
  {
    files: ['core/src/shape/mesh/**/*.ts'],
    ignores: CORE.ignores,
    rules: outside(UI.filter((name) => !name.startsWith('three'))),
  },
  {
    files: ['core/src/**/*.ts'],
    rules: {
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'navigator',
        'localStorage',
        'sessionStorage',
        'indexedDB',
        'self',
        'HTMLElement',
        'Date',
        'performance',
      ],
    },
  },
  {
    files: ['app/src/**/*.ts'],
    extends: [angular.configs.tsRecommended],
    processor: angular.processInlineTemplates,
    rules: {
      '@angular-eslint/component-selector': [
        'error',
        { type: 'element', prefix: 'fl', style: 'kebab-case' },
      ],
      '@angular-eslint/prefer-on-push-component-change-detection': 'error',
    },
  },
  ...PAGE_LAYERS.flatMap((layer, i) => {
    const above = PAGE_LAYERS.slice(i + 1).flat();
    return layer.map((folder) => ({
      files: [`app/src/${folder}/**/*.ts`],
      ignores: ['**/*.spec.ts'],
      rules: { 'no-restricted-imports': ['error', { patterns: outOfReach(folder, above) }] },
    }));
  }),
  {
    files: ['app/src/**/*.html'],
    extends: [angular.configs.templateRecommended, angular.configs.templateAccessibility],
  },
  prettier,
);
