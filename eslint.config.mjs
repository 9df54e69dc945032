import angular from 'angular-eslint';
import prettier from 'eslint-config-prettier';
import tseslint from 'typescript-eslint';

/** Folders of the core in the order in which they may know one another: each knows those before it. */
const LAYERS = [
  ['derive', 'fault', 'random'],
  ['vec', 'units'],
  ['survey', 'stock', 'tube', 'nest', 'corners', 'bleed', 'air', 'proof', 'hydraulics', 'clips', 'frame', 'rod', 'network'],
  ['threads', 'pathfinding', 'formats', 'mesh', 'taping', 'bending'],
  ['ends'],
  ['plan'],
  ['joints', 'hose-travel'],
  ['making'],
  ['worth', 'gates', 'buying'],
  ['floor', 'log'],
  ['filling'],
  ['proving'],
  ['snags'],
  ['route-proposals'],
  ['set-out'],
  ['verbs'],
];
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
/** Folders inside a subject, in the same order. */
const INSIDE = { plan: ['model', 'derived', 'network', 'edits', 'file'] };
const inner = Object.values(INSIDE).flat().join('|');
const deeper = {
  regex: `^\\.\\./(\\.\\./)?(?!(${inner})/)[a-z-]+/(?!index\\.ts$)[a-z-]+\\.ts$`,
  message: 'import a subject by its index only',
};
/** The registry says by data alone what stations there are: whoever leads to a place reads it. */
const outOfReach = (folder, above) =>
  above.length
    ? [{ regex: `^(\\.\\.?/)+(${above.join('|')})/(?!registry$)`, message: `${folder} must not know what builds on it` }]
    : [];

/** What files of one folder may not import; what lies above it is out of reach. */
const importRules = (path, folder, unreachable) => ({
  files: [`core/src/${path}/**/*.ts`],
  ignores: ['**/*.spec.ts'],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          {
            group: folder === 'mesh' ? UI.filter((name) => !name.startsWith('three')) : UI,
            message: 'the core must not depend on interface or server code',
          },
          { group: ['node:*', 'fs', 'path'], message: 'the core must also run in the browser' },
          ...unreachable,
          ...(folder === 'snags' ? [] : [deeper]),
        ],
      },
    ],
  },
});
const layerRules = LAYERS.flatMap((layer, i) => {
  const above = LAYERS.slice(i + 1).flat();
  return layer.flatMap((folder) => {
    const unreachable = outOfReach(folder, above);
    return [
      importRules(folder, folder, unreachable),
      ...(INSIDE[folder] ?? []).map((part, k, parts) =>
        importRules(`${folder}/${part}`, folder, [...unreachable, ...outOfReach(part, parts.slice(k + 1))]),
      ),
    ];
  });
});

export default tseslint.config(
  { ignores: ['**/dist/**', '**/.angular/**', '**/node_modules/**', 'demo/**', 'docs/**'] },
  {
    files: ['**/*.ts'],
    extends: [tseslint.configs.recommended],
    rules: {
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/no-explicit-any': 'error',
      'prefer-const': 'error',
      eqeqeq: 'error',
    },
  },
  {
    files: ['**/*.spec.ts'],
    rules: { '@typescript-eslint/no-explicit-any': 'off', '@typescript-eslint/no-unused-expressions': 'off' },
  },
  ...layerRules,
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
      '@angular-eslint/component-selector': ['error', { type: 'element', prefix: 'fl', style: 'kebab-case' }],
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
  { files: ['app/src/**/*.html'], extends: [angular.configs.templateRecommended, angular.configs.templateAccessibility] },
  prettier,
);
