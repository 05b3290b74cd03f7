const { defineConfig } = require('eslint/config');
const expo = require('eslint-config-expo/flat');
const prettier = require('eslint-config-prettier/flat');

/** Core folders in the direction imports may run: each may import itself and those before it. */
const CORE_ORDER = [
  'maths',
  'units',
  'water',
  'rig',
  'feed',
  'scene',
  'recording',
  'sounder',
  'picture',
  'reading',
  'screenPicture',
  'advice',
  'bench',
  'marks',
  'logbook',
  'training',
  'formats',
  'testing',
];
/** What reads must not be able to see the truth, and advice must not bring the simulator along. */
const BLIND = {
  picture: ['scene', 'sounder'],
  reading: ['scene', 'sounder', 'picture'],
  screenPicture: ['scene', 'sounder', 'reading'],
  advice: ['scene', 'sounder'],
};
/** A recording knows nothing of what made it. */
const EXTRA = { recording: ['scene'] };

/** @param up from a file to core/ */
const anyWayTo = (up) => (name) => [`@/core/${name}`, `@/core/${name}/*`, `${up}${name}`, `${up}${name}/*`];

const noImport = (names, message) => ({
  'no-restricted-imports': ['error', { patterns: [{ group: names, message }] }],
});

const outsideCore = ['app', 'features', 'ui', 'stores', 'workers', 'server'].flatMap((name) => [
  `@/${name}`,
  `@/${name}/*`,
  `../../${name}`,
  `../../${name}/*`,
]);

const coreRules = CORE_ORDER.flatMap((folder, at) => {
  const banned = [...CORE_ORDER.slice(at + 1), ...(BLIND[folder] ?? []), ...(EXTRA[folder] ?? [])];
  const rule = (files, up) => ({
    files,
    ignores: ['**/*.test.ts'],
    rules: {
      ...noImport(
        [...banned.flatMap(anyWayTo(up)), ...outsideCore, 'react', 'react-*', 'expo*', 'node:*', 'zustand*'],
        `core/${folder} may import only itself and: ${CORE_ORDER.slice(0, at).join(', ') || 'nothing'} (see docs/decisions.md).`,
      ),
      'no-restricted-globals': ['error', 'window', 'document', 'process', 'performance', 'Date'],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Take a seeded generator (core/maths/random).' },
      ],
    },
  });
  return [rule([`core/${folder}/*.ts`], '../'), rule([`core/${folder}/*/**/*.ts`], '../../')];
});

const layer = (folder, banned) => ({
  files: [`${folder}/**/*.{ts,tsx}`],
  rules: noImport(
    banned.flatMap((name) => [`@/${name}`, `@/${name}/*`]),
    `${folder}/ sits below what it imports here: app → features → ui, stores, workers → core.`,
  ),
});

/** Those of Expo's rules, switched off. */
const off = (matches) =>
  Object.fromEntries(
    expo
      .flatMap((part) => Object.keys(part.rules ?? {}))
      .filter(matches)
      .map((rule) => [rule, 'off']),
  );

module.exports = defineConfig([
  {
    ignores: [
      'dist/**',
      'build/**',
      '.expo/**',
      'node_modules/**',
      'coverage/**',
      'test-results/**',
      'expo-env.d.ts',
    ],
  },
  expo,
  prettier,
  // The compiler says these in half the time; typescript-eslint recommends leaving them to it.
  {
    files: ['**/*.{ts,tsx}'],
    rules: off((rule) =>
      /^import\/(default|export|named|namespace|no-named-as-default|no-named-as-default-member|no-unresolved)$/.test(
        rule,
      ),
    ),
  },
  {
    files: ['{core,workers,server,scripts,e2e}/**'],
    rules: off((rule) => rule.startsWith('react')),
  },
  ...coreRules,
  layer('features', ['app']),
  layer('ui', ['app', 'features', 'stores', 'workers']),
  layer('stores', ['app', 'features', 'ui']),
  layer('workers', ['app', 'features', 'ui', 'stores']),
  {
    files: ['scripts/**', '*.config.js', 'e2e/**'],
    languageOptions: {
      globals: { process: 'readonly', console: 'readonly', jest: 'readonly', require: 'readonly' },
    },
  },
]);
