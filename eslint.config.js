// Lint: types are checked, and the directions in which rooms may depend on one another are rules.
import angular from 'angular-eslint';
import prettier from 'eslint-config-prettier';
import tseslint from 'typescript-eslint';

/** The core's order, from the ground up; a folder may import those of earlier rows, and of its own row where `peers` says so. */
const CORE_ROWS = [
  ['measure'],
  ['shape', 'quantity'],
  ['part'],
  ['instrument'],
  ['wire'],
  ['survey'],
  ['operation'],
  ['check'],
  ['cut'],
  ['work'],
  ['remedy'],
  ['order'],
  ['gate'],
  ['job'],
  ['record'],
  ['house'],
];
const GROUND_PEERS = { shape: ['quantity'], quantity: [] };
/** What stands beside the rows may import these. */
const ASIDE = {
  upgrade: ['quantity', 'part', 'instrument', 'wire', 'operation', 'check'],
  format: ['measure', 'shape', 'quantity', 'part', 'instrument', 'upgrade'],
};

const allCore = [...CORE_ROWS.flat(), ...Object.keys(ASIDE)];

/** Which core folders `folder` must not import. */
function forbiddenFor(folder) {
  const row = CORE_ROWS.findIndex((r) => r.includes(folder));
  const allowed =
    ASIDE[folder] ??
    CORE_ROWS.slice(0, row)
      .flat()
      .concat(GROUND_PEERS[folder] ?? []);
  return allCore.filter((f) => f !== folder && !allowed.includes(f));
}

const coreOrder = allCore.map((folder) => ({
  files: [`core/src/${folder}/**/*.ts`],
  ignores: ['**/*.spec.ts', '**/*.bench.ts', '**/*.search.ts'],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          {
            group: forbiddenFor(folder).flatMap((f) => [`../${f}/*`, `../${f}`, `../../${f}/*`]),
            message: `${folder} may not depend on this: see docs/architecture.md`,
          },
          { group: ['@rinnovo/*', '@angular/*', '@ngrx/*', 'express', 'knex', 'joi', 'node:*', 'rxjs'], message: 'the core is pure' },
          // the house alone knows every room's rows
          ...(folder === 'house' ? [] : [{ regex: '^(?:\\.\\./)+(?!\\.\\.)[^/]+/(?!index\\.js$)', message: 'import another folder by its index' }]),
        ],
      },
    ],
    'no-restricted-globals': ['error', 'window', 'document', 'fetch', 'process', 'setTimeout', 'setInterval', 'performance', 'localStorage'],
    'no-restricted-properties': [
      'error',
      { object: 'Date', property: 'now', message: 'the core has no clock' },
      { object: 'Math', property: 'random', message: 'the core has no chance' },
    ],
  },
}));

/** Whom each room may not import. */
const ROOMS = {
  words: ['@rinnovo/contract', '@rinnovo/server', '@rinnovo/web', '@rinnovo/demo'],
  contract: ['@rinnovo/words', '@rinnovo/server', '@rinnovo/web', '@rinnovo/demo'],
  demo: ['@rinnovo/words', '@rinnovo/server', '@rinnovo/web'],
  server: ['@rinnovo/web'],
  web: ['@rinnovo/server', '@rinnovo/demo'],
};

const roomOrder = Object.entries(ROOMS).map(([room, forbidden]) => ({
  files: [`${room}/src/**/*.ts`],
  rules: {
    'no-restricted-imports': [
      'error',
      { patterns: [{ group: forbidden.flatMap((f) => [f, `${f}/*`]), message: 'dependencies point one way: see docs/architecture.md' }] },
    ],
  },
}));

export default tseslint.config(
  { ignores: ['**/dist/**', '**/node_modules/**', '.data/**', '**/.angular/**', 'test-results/**'] },
  {
    files: ['**/*.ts'],
    extends: [...tseslint.configs.strictTypeChecked, ...tseslint.configs.stylisticTypeChecked],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true, allowBoolean: true }],
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/explicit-module-boundary-types': 'error',
      '@typescript-eslint/no-confusing-void-expression': 'off',
      '@typescript-eslint/no-extraneous-class': 'off',
      // Rows that come from the database and options that Material takes are plain data.
      '@typescript-eslint/no-unnecessary-type-assertion': 'off',
      '@typescript-eslint/non-nullable-type-assertion-style': 'off',
      '@typescript-eslint/no-unsafe-class-instance-assignment': 'off',
      '@typescript-eslint/consistent-type-definitions': ['error', 'interface'],
      '@typescript-eslint/no-unnecessary-condition': ['error', { allowConstantLoopConditions: true }],
    },
  },
  ...coreOrder,
  ...roomOrder,
  // what is bound has the types of the functions that it binds
  { files: ['core/src/house/bound.ts', 'core/src/house/lists/bound-lists.ts'], rules: { '@typescript-eslint/explicit-module-boundary-types': 'off' } },
  {
    files: ['web/src/**/*.ts'],
    extends: [...angular.configs.tsRecommended],
    processor: angular.processInlineTemplates,
    rules: {
      '@angular-eslint/component-selector': ['error', { type: 'element', prefix: 'rn', style: 'kebab-case' }],
      '@angular-eslint/directive-selector': ['error', { type: 'attribute', prefix: 'rn', style: 'camelCase' }],
      '@angular-eslint/prefer-on-push-component-change-detection': 'error',
      '@typescript-eslint/unbound-method': 'off',
      '@typescript-eslint/explicit-module-boundary-types': 'off',
    },
  },
  { files: ['web/src/**/*.html'], extends: [...angular.configs.templateRecommended, ...angular.configs.templateAccessibility], rules: {} },
  {
    files: ['**/*.spec.ts', '**/testing/**/*.ts', 'e2e/**/*.ts', '**/*.bench.ts', '**/*.search.ts'],
    rules: {
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/explicit-module-boundary-types': 'off',
      '@typescript-eslint/no-unsafe-assignment': 'off',
      '@typescript-eslint/no-unsafe-member-access': 'off',
      '@typescript-eslint/no-unsafe-argument': 'off',
    },
  },
  prettier,
);
