const expo = require('eslint-config-expo/flat');
const { defineConfig } = require('eslint/config');

/** Lets files of `target` import nothing from the folders in `from`: imports go one way only. */
const zone = (target, ...from) => from.map((folder) => ({ target, from: folder }));

// The simulation must give the same bits in every engine: only + - * / and sqrt are defined exactly.
const inexact = [
  'sin',
  'cos',
  'tan',
  'asin',
  'acos',
  'atan',
  'atan2',
  'exp',
  'log',
  'pow',
  'hypot',
  'cbrt',
  'random',
];
const exactOnly = {
  'no-restricted-properties': [
    'error',
    ...inexact.map((property) => ({
      object: 'Math',
      property,
      message: 'Not the same in every engine. Use core/geometry/trig or the seeded generator.',
    })),
  ],
  'no-restricted-globals': ['error', 'Date', 'performance'],
  'no-restricted-syntax': [
    'error',
    { selector: "BinaryExpression[operator='**']", message: 'Not the same in every engine.' },
  ],
};

module.exports = defineConfig([
  ...expo,
  { ignores: ['dist/*', 'data/*', '.expo/*', 'node_modules/*', 'test-results/*'] },
  {
    settings: { 'import/resolver': { typescript: true, node: true } },
    rules: {
      'react/no-unknown-property': 'off',
      // Namespaces are how fast-check and the oracle are meant to be used.
      'import/no-named-as-default-member': 'off',
      'import/no-named-as-default': 'off',
      'import/no-restricted-paths': [
        'error',
        {
          zones: [
            ...zone('./core', './ui', './app', './server', './cli', './demo', './workers', './e2e'),
            ...zone(
              './core/geometry',
              './core/course',
              './core/pieces',
              './core/run',
              './core/assemble',
              './core/check',
              './core/formats',
              './core/motion',
              './core/collision',
            ),
            ...zone(
              './core/course',
              './core/pieces',
              './core/run',
              './core/assemble',
              './core/check',
              './core/formats',
              './core/motion',
              './core/collision',
            ),
            ...zone('./core/run', './core/check', './core/formats', './core/assemble'),
            ...zone('./server', './ui', './app', './cli', './workers'),
            ...zone('./cli', './ui', './app', './server', './workers'),
            ...zone('./demo', './ui', './app', './server', './cli', './workers'),
            ...zone('./workers', './ui', './app', './server', './cli'),
            ...zone('./ui', './app', './server', './cli', './demo'),
            ...zone('./app', './server', './cli', './core', './demo'),
          ],
        },
      ],
    },
  },
  {
    // Tests may stand on anything below them.
    files: ['**/*.test.ts', '**/*.test.tsx', '**/testing.ts', '**/*.testing.ts'],
    rules: { 'import/no-restricted-paths': 'off' },
  },
  // The browser tests' fixtures have a function called use, and it is no hook.
  {
    files: ['e2e/**/*.ts'],
    rules: { 'react-hooks/rules-of-hooks': 'off', 'no-empty-pattern': 'off' },
  },
  { files: ['**/*.ts', '**/*.tsx'], rules: { '@typescript-eslint/no-explicit-any': 'error' } },
  {
    files: [
      'core/geometry/**/*.ts',
      'core/pieces/**/*.ts',
      'core/motion/**/*.ts',
      'core/rules/**/*.ts',
      'core/run/**/*.ts',
      'core/collision/**/*.ts',
    ],
    ignores: ['**/*.test.ts'],
    rules: exactOnly,
  },
  {
    files: ['**/*.js', 'scripts/*'],
    languageOptions: {
      globals: {
        require: 'readonly',
        module: 'writable',
        __dirname: 'readonly',
        process: 'readonly',
        console: 'readonly',
      },
    },
  },
]);
