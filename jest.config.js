const expoPreset = require('jest-expo/jest-preset');

const alias = { '^@/(.*)$': '<rootDir>/$1' };
// Published with an import condition only, which Jest does not look for in this setting.
const importOnly = { '^quickhull3d$': '<rootDir>/node_modules/quickhull3d/dist/index.js' };
const node = {
  testEnvironment: 'node',
  moduleNameMapper: { ...alias, ...importOnly },
  transform: { '\\.[jt]sx?$': ['babel-jest', { presets: ['babel-preset-expo'] }] },
  transformIgnorePatterns: [
    '/node_modules/(?!(@noble|fast-check|pure-rand|@dimforge|quickhull3d|d3-.*|internmap)/)',
  ],
};

module.exports = {
  projects: [
    { ...node, displayName: 'core', testMatch: ['<rootDir>/{core,cli,demo}/**/*.test.ts'] },
    {
      ...node,
      displayName: 'server',
      testMatch: ['<rootDir>/server/**/*.test.ts'],
      globalSetup: '<rootDir>/server/testing/buildWorker.js',
    },
    {
      ...expoPreset,
      displayName: 'ui',
      testMatch: ['<rootDir>/ui/**/*.test.{ts,tsx}'],
      moduleNameMapper: { ...expoPreset.moduleNameMapper, ...alias },
      transformIgnorePatterns: expoPreset.transformIgnorePatterns.map((pattern) =>
        pattern.replace('(?!(', '(?!(@rneui|@noble|'),
      ),
    },
  ],
};
