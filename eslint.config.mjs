import angular from 'angular-eslint';
import prettier from 'eslint-config-prettier';
import tseslint from 'typescript-eslint';

/** Folders of the core in the order in which they may know one another: each knows those before it. */
const LAYERS = [
  ['fault'],
  ['vec', 'units'],
  ['survey', 'stock', 'tube', 'bleed', 'hydraulics', 'clips', 'frame', 'hose'],
  ['threads', 'route', 'formats', 'mesh'],
  ['ends'],
  ['plan'],
  ['joints', 'hoses'],
  ['snags'],
  ['ways'],
  ['contract'],
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
const deeper = { regex: '^\\.\\./(\\.\\./)?[a-z-]+/(?!index\\.ts$)[a-z-]+\\.ts$', message: 'import a subject by its index only' };

/** One rule set a layer: what lies above it is out of reach. */
const layerRules = LAYERS.flatMap((layer, i) => {
  const above = LAYERS.slice(i + 1).flat();
  return layer.map((folder) => ({
    files: [`core/src/${folder}/**/*.ts`],
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
            ...(above.length
              ? [{ regex: `^(\\.\\./)+(${above.join('|')})/`, message: `${folder} must not know what builds on it` }]
              : []),
            ...(folder === 'snags' ? [] : [deeper]),
          ],
        },
      ],
    },
  }));
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
  { files: ['app/src/**/*.html'], extends: [angular.configs.templateRecommended, angular.configs.templateAccessibility] },
  prettier,
);
