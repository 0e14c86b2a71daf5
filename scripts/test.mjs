// Runs the unit, server and browser tests and sums them up in one closing line. A runner that found no
// test at all counts as failed.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import path from 'node:path';

const root = path.join(path.dirname(new URL(import.meta.url).pathname), '..');
const results = path.join(root, 'test-results');
const bin = (name) => path.join(root, 'node_modules', '.bin', name);

const run = (program, args) =>
  spawnSync(program, args, {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, FORCE_COLOR: '0' },
  }).status === 0;
const read = (file) => (existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : null);

mkdirSync(results, { recursive: true });
let passed = 0;
let failed = 0;
let sound = true;
const count = (name, good, bad, ended) => {
  passed += good;
  failed += bad;
  if (good + bad === 0) console.error(`${name}: no test was run.`);
  if (!ended || bad > 0 || good + bad === 0) sound = false;
};

for (const project of ['core', 'server', 'ui']) {
  const file = path.join(results, `${project}.json`);
  rmSync(file, { force: true });
  const ended = run(bin('jest'), [
    ...['--selectProjects', project, '--json', '--outputFile', file],
    // As many at once as there are cores: by itself Jest leaves one of two idle.
    `--maxWorkers=${availableParallelism()}`,
  ]);
  const report = read(file);
  count(project, report?.numPassedTests ?? 0, report?.numFailedTests ?? 0, ended);
}

// The browser's report is written last, as its runner clears the folder first.
const ended = run(bin('playwright'), ['test', ...process.argv.slice(2)]);
const stats = read(path.join(results, 'browser.json'))?.stats;
const flaky = stats?.flaky ?? 0;
// What passes only when tried again cannot be relied on.
if (flaky > 0) console.error(`browser: ${flaky} passed only at the second try.`);
count('browser', stats?.expected ?? 0, (stats?.unexpected ?? 0) + flaky, ended);

if (!sound && failed === 0) failed = 1;
console.log(`${passed} passed, ${failed} failed`);
process.exit(sound ? 0 : 1);
