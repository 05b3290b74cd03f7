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

module.exports = {
  projects: [
    {
      displayName: 'core',
      testEnvironment: 'node',
      roots: ['<rootDir>/core', '<rootDir>/server', '<rootDir>/scripts'],
      testMatch: ['**/*.test.ts'],
      moduleNameMapper,
      transform: { '\\.ts$': plainBabel },
    },
    {
      displayName: 'interface',
      preset: 'jest-expo/ios',
      roots: ['<rootDir>/features', '<rootDir>/ui', '<rootDir>/stores', '<rootDir>/workers'],
      testMatch: ['**/*.test.{ts,tsx}'],
      moduleNameMapper,
      setupFiles: ['<rootDir>/scripts/jest-setup.js'],
    },
  ],
};
