const moduleNameMapper = { '^@/(.*)$': '<rootDir>/$1' };
const plainBabel = [
  'babel-jest',
  {
    configFile: false,
    babelrc: false,
    presets: ['babel-preset-expo'],
    caller: { name: 'jest', bundler: 'metro', platform: 'web' },
  },
];

// Names looked up in a test's own context are slow; given to each file by Jest they are not.
const sandboxInjectedGlobals = [
  'Math',
  'Number',
  'Array',
  'Float32Array',
  'Float64Array',
  'Int32Array',
  'Uint8Array',
  'Uint32Array',
];

module.exports = {
  // Machines are shared: a test waits for its server or worker as long as that takes.
  testTimeout: 60_000,
  projects: [
    {
      displayName: 'core',
      testEnvironment: 'node',
      roots: ['<rootDir>/core', '<rootDir>/server', '<rootDir>/scripts'],
      testMatch: ['**/*.test.ts'],
      moduleNameMapper,
      sandboxInjectedGlobals,
      transform: { '\\.ts$': plainBabel },
    },
    {
      displayName: 'interface',
      preset: 'jest-expo/ios',
      roots: ['<rootDir>/features', '<rootDir>/ui', '<rootDir>/stores', '<rootDir>/workers'],
      testMatch: ['**/*.test.{ts,tsx}'],
      moduleNameMapper,
      sandboxInjectedGlobals,
      setupFiles: ['<rootDir>/scripts/jest-setup.js'],
    },
  ],
};
