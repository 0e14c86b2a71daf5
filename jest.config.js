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
// Looked up through the sandbox at every use, they would be most of what a simulation costs.
const sandboxInjectedGlobals = [
  ...['Math', 'Infinity', 'Number', 'Array', 'Object', 'Map', 'Set'],
  ...['Float64Array', 'Float32Array', 'Int32Array', 'Int16Array', 'Uint8Array', 'Uint16Array'],
];
const node = {
  testEnvironment: 'node',
  sandboxInjectedGlobals,
  moduleNameMapper: alias,
  transform: { '\\.m?[jt]sx?$': '<rootDir>/scripts/jestTransform.cjs' },
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
      moduleNameMapper: {
        '^\\./passphraseCost$': '<rootDir>/server/testing/passphraseCost.ts',
        ...alias,
      },
      globalSetup: '<rootDir>/server/testing/prepare.js',
    },
    {
      ...expoPreset,
      displayName: 'ui',
      sandboxInjectedGlobals,
      setupFiles: [...(expoPreset.setupFiles ?? []), '<rootDir>/ui/testing/storage.js'],
      testMatch: ['<rootDir>/ui/**/*.test.{ts,tsx}'],
      moduleNameMapper: {
        ...expoPreset.moduleNameMapper,
        // There are no workers here.
        '^@/workers/check$': '<rootDir>/ui/testing/check.ts',
        ...alias,
      },
      transform: {
        // All but what React Native publishes as Flow, which is Babel's, below.
        '^(?!.*node_modules/@?react-native).*\\.m?[jt]sx?$': '<rootDir>/scripts/jestTransform.cjs',
        ...expoPreset.transform,
        '\\.m?[jt]sx?$': [
          'babel-jest',
          {
            presets: ['babel-preset-expo'],
            // What is loaded only when needed is required by then.
            plugins: ['@babel/plugin-transform-dynamic-import'],
          },
        ],
      },
      transformIgnorePatterns: expoPreset.transformIgnorePatterns.map((pattern) =>
        pattern.replace('(?!(', `(?!(@rneui|d3-[a-z]+|internmap|${modules.join('|')}|`),
      ),
    },
  ],
};
