const { readdirSync } = require('node:fs');
const path = require('node:path');
const expo = require('eslint-config-expo/flat');
const { defineConfig } = require('eslint/config');
const jsdoc = require('eslint-plugin-jsdoc');

/** Lets files of `target` import nothing from the folders in `from`: imports go one way only. */
const zone = (target, ...from) => from.map((folder) => ({ target, from: folder }));

/**
 * The floors of a house from the ground up: no room imports from a floor above, nor from another room of its own floor.
 * @param house its folder
 * @param levels each a room, or a list of rooms side by side
 * @throws where a folder is not among them, or one of them is no folder
 */
function floors(house, levels) {
  const rooms = levels.flat();
  const folders = readdirSync(path.join(__dirname, house), { withFileTypes: true })
    .filter((entry) => entry.isDirectory() && entry.name !== 'testing')
    .map(({ name }) => name);
  const unlike = [
    ...folders.filter((folder) => !rooms.includes(folder)),
    ...rooms.filter((room) => !folders.includes(room)),
  ];
  if (unlike.length > 0)
    throw new Error(`${house}: no floor, or no folder, for ${unlike.join(', ')}.`);
  return levels.flatMap((level, i) =>
    [level].flat().flatMap((room) => {
      const beside = [level].flat().filter((other) => other !== room);
      const others = [...levels.slice(i + 1).flat(), ...beside];
      return zone(`${house}/${room}`, ...others.map((other) => `${house}/${other}`));
    }),
  );
}

const CORE = [
  'geometry',
  'course',
  'motion',
  'pieces',
  'collision',
  'edit',
  'run',
  'route',
  'sight',
  'timing',
  'check',
  'formats',
  'protocol',
];
const RUN = ['world', 'state', 'contact', 'loose', 'move', 'rules', 'play'];
/** Rooms of edits: what is of the course, finding pieces, and what is done with them. */
const EDIT = ['course', 'lookup', 'pieces', 'snap', 'arrange', 'draw', 'fit'];
/** Rooms of the screen of a course; the phases stand side by side. */
const COURSE = [
  'runs',
  'open',
  'tools',
  'commands',
  'scene',
  'parts',
  ['lay', 'tune', 'plan', 'run', 'times', 'versions', 'watch', 'share'],
  'screen',
];
const SERVER = ['base', 'threads', 'db', 'api', 'care'];
const UI = [
  'device',
  'theme',
  'parts',
  'ribbon',
  'scene',
  'state',
  'account',
  'music',
  'run',
  'explore',
  'series',
  'maker',
  'play',
  'courses',
  'course',
  'help',
];

/** A room of the interface is entered by its index from the rooms above it; a few files of it besides. */
const entered = (room, above, ...besides) =>
  above.map((target) => ({
    target: `./ui/${target}`,
    from: `./ui/${room}`,
    except: ['./index.ts', ...besides],
    message: 'Rooms are entered by their index.',
  }));
const above = (room) => UI.slice(UI.indexOf(room) + 1);

/** Rooms are entered by their index: what lies behind it is their own. */
const byIndex = (patterns) => ({
  'no-restricted-imports': [
    'error',
    { patterns: [{ group: patterns, message: 'Rooms are entered by their index.' }] },
  ],
});

/** All rules about components that the shared configuration has. */
const reactRules = expo
  .flatMap(({ rules }) => Object.keys(rules ?? {}))
  .filter((rule) => rule.startsWith('react'));

// A new kind has to be thought of where it is made, not in every place that asks for one kind by name.
const byTable = [
  {
    selector: 'BinaryExpression[operator=/^[!=]==$/][right.value=/^(hopper|roller|cart|flick)$/]',
    message: 'Ask for a trait of the runner (RUNNER_TRAITS), or make a table of all kinds.',
  },
  {
    selector:
      "BinaryExpression[operator=/^[!=]==$/][right.type='Literal'] > MemberExpression[property.name='kind'][object.name=/^(cue|effect|field)$/]",
    message: 'Ask for a trait of the kind (CUE_TRAITS, EFFECT_TRAITS, FIELD_KINDS).',
  },
];

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
    ...byTable,
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
      // TypeScript says so sooner, and this took half of the linter's time.
      'import/namespace': 'off',
      'max-params': ['error', 6],
      'import/no-mutable-exports': 'error',
      'import/no-restricted-paths': [
        'error',
        {
          zones: [
            ...zone('./core', './ui', './app', './server', './cli', './demo', './workers', './e2e'),
            ...floors('./core', CORE),
            ...floors('./core/run', RUN),
            ...floors('./core/edit', EDIT),
            ...floors('./ui', UI),
            ...floors('./ui/course', COURSE),
            ...floors('./server', SERVER),
            // History does not change with the code: migrations call nothing that lives on.
            ...zone('./server/db/migrations', './core', './server/base', './server/threads'),
            ...entered('theme', above('theme')),
            ...entered('parts', above('parts')),
            ...entered('ribbon', above('ribbon')),
            // The pictures of runners in the lists come without all that draws a scene; a view's shape is a type.
            ...entered('scene', above('scene'), './runnerForms.ts', './view.ts'),
            ...entered('run/runners', above('run')),
            ...entered('course/tools/pieces', ['course/scene', 'course/commands']),
            ...entered('course/tools/sketch', ['course/plan', 'course/scene']),
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
  {
    files: ['core/run/*/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: byIndex(
      RUN.flatMap((room) => [`../${room}/*`, `../../${room}/*`, `../../../${room}/*`]),
    ),
  },
  {
    files: ['ui/**/*', 'app/**/*', 'server/**/*', 'cli/**/*', 'workers/**/*', 'demo/**/*'],
    ignores: ['**/*.test.ts', '**/*.test.tsx'],
    // What tests are made of is used by the bench as well, and no part of what a room hands out.
    rules: byIndex([
      ...CORE.flatMap((room) => [`@/core/${room}/**`, `!@/core/${room}/**/*.testing`]),
      // What writes the files of other trades is a room of its own: loaded only when it is asked for.
      '!@/core/formats/export',
    ]),
  },
  {
    files: CORE.map((room) => `core/${room}/**/*.ts`),
    ignores: ['**/*.test.ts', '**/*.testing.ts', 'core/run/*/**/*.ts', 'core/edit/*/**/*.ts'],
    rules: byIndex(CORE.flatMap((room) => [`../${room}/*`, `../../${room}/*`])),
  },
  {
    // Edits are made of each other: their rooms, some of the same names, are open among themselves.
    files: ['core/edit/*/**/*.ts'],
    ignores: ['**/*.test.ts', '**/*.testing.ts', 'core/edit/draw/sketch/*.ts'],
    rules: byIndex(CORE.map((room) => `../../${room}/*`)),
  },
  {
    // Who calls a function with more than three parameters is told of each, with its unit and frame.
    files: ['core/**/*.ts'],
    ignores: ['**/*.test.ts', '**/*.testing.ts'],
    plugins: { jsdoc },
    rules: {
      'jsdoc/require-param': [
        'error',
        {
          contexts: [
            'ExportNamedDeclaration > FunctionDeclaration[params.length>3]',
            'ExportNamedDeclaration > VariableDeclaration > VariableDeclarator > ArrowFunctionExpression[params.length>3]',
          ],
          checkDestructured: false,
          checkDestructuredRoots: false,
        },
      ],
      'jsdoc/require-jsdoc': [
        'error',
        {
          require: { FunctionDeclaration: false },
          contexts: ['ExportNamedDeclaration > FunctionDeclaration[params.length>3]'],
        },
      ],
      'jsdoc/require-param-description': 'error',
    },
  },
  {
    // Where no component is that runs: the compiler's rules parse every file anew, a quarter of the linter's time.
    files: ['{core,server,cli,demo,workers,scripts,e2e}/**/*', '**/*.test.ts', '**/*.test.tsx'],
    rules: Object.fromEntries(reactRules.map((rule) => [rule, 'off'])),
  },
  { files: ['e2e/**/*.ts'], rules: { 'no-empty-pattern': 'off' } },
  { files: ['**/*.ts', '**/*.tsx'], rules: { '@typescript-eslint/no-explicit-any': 'error' } },
  {
    files: ['{core,server,cli,workers,ui,app,demo}/**/*.ts', '{ui,app}/**/*.tsx'],
    ignores: ['**/*.test.ts', '**/*.test.tsx', '**/*.testing.ts'],
    rules: {
      'no-restricted-syntax': ['error', ...byTable],
      'max-lines-per-function': ['error', { max: 80, skipComments: true }],
      complexity: ['error', 20],
    },
  },
  {
    // They are one list each: the fields of a state and of a world, the pieces of a course.
    files: ['core/run/play/begin.ts', 'core/run/world/buildWorld.ts', 'demo/courses/*.ts'],
    rules: { 'max-lines-per-function': 'off' },
  },
  {
    files: [
      'core/geometry/**/*.ts',
      'core/pieces/**/*.ts',
      'core/motion/**/*.ts',
      'core/rules/**/*.ts',
      'core/run/**/*.ts',
      'core/collision/**/*.ts',
    ],
    ignores: ['**/*.test.ts', 'core/run/follower.testing.ts'],
    rules: exactOnly,
  },
  {
    files: ['**/*.js', 'scripts/*'],
    languageOptions: {
      globals: {
        require: 'readonly',
        module: 'writable',
        __dirname: 'readonly',
        __filename: 'readonly',
        process: 'readonly',
        console: 'readonly',
      },
    },
  },
]);
