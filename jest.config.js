const expoPreset = require('jest-expo/jest-preset');

const alias = { '^@/(.*)$': '<rootDir>/$1' };
// Published as modules only.
const modules = [
  '@noble',
  '@gltf-transform',
  'property-graph',
  'quickhull3d',
  'get-plane-normal',
  'earcut',
  'meshoptimizer',
];
const node = {
  testEnvironment: 'node',
  moduleNameMapper: alias,
  transform: {
    '\\.m?[jt]sx?$': [
      'babel-jest',
      {
        presets: ['babel-preset-expo'],
        // What is loaded only when needed is required by then.
        plugins: ['@babel/plugin-transform-dynamic-import'],
      },
    ],
  },
  transformIgnorePatterns: [
    `/node_modules/(?!(${modules.join('|')}|fast-check|pure-rand|@dimforge|d3-.*|internmap)/)`,
  ],
};

module.exports = {
  projects: [
    { ...node, displayName: 'core', testMatch: ['<rootDir>/{core,cli,demo,workers}/**/*.test.ts'] },
    {
      ...node,
      displayName: 'server',
      testMatch: ['<rootDir>/server/**/*.test.ts'],
      globalSetup: '<rootDir>/server/testing/buildWorker.js',
    },
    {
      ...expoPreset,
      displayName: 'ui',
      setupFiles: [...(expoPreset.setupFiles ?? []), '<rootDir>/ui/testing/storage.js'],
      testMatch: ['<rootDir>/ui/**/*.test.{ts,tsx}'],
      moduleNameMapper: {
        ...expoPreset.moduleNameMapper,
        // There are no workers here.
        '^@/workers/check$': '<rootDir>/ui/testing/check.ts',
        ...alias,
      },
      transform: { ...expoPreset.transform, ...node.transform },
      transformIgnorePatterns: expoPreset.transformIgnorePatterns.map((pattern) =>
        pattern.replace('(?!(', `(?!(@rneui|d3-[a-z]+|internmap|${modules.join('|')}|`),
      ),
    },
  ],
};
