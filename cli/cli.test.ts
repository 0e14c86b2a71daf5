import { courseHash } from '@/core/run';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { toCourseFile, toShareCode } from '@/core/formats';

import { saltPanHop } from '@/demo/courses/saltPanHop';
import { DEMO_RUNS } from '@/demo/runs';

const root = path.join(__dirname, '..');
const folder = mkdtempSync(path.join(tmpdir(), 'stonehop-cli-'));
const { course } = saltPanHop;
const { run } = DEMO_RUNS['salt-pan-hop'][0];

const file = (name: string, text: string) => {
  writeFileSync(path.join(folder, name), text);
  return path.join(folder, name);
};
const stonehop = (...args: string[]) => {
  const { status, stdout, stderr } = spawnSync(
    process.execPath,
    [path.join(root, 'dist', 'cli.cjs'), ...args],
    { encoding: 'utf8' },
  );
  return { status, stdout, stderr };
};

beforeAll(() => jest.requireActual('../scripts/bundles.cjs').buildCli(), 30_000);
afterAll(() => rmSync(folder, { recursive: true }));

test('check, hash and replay answer from files', () => {
  const courseFile = file('course.json', toCourseFile(course));
  expect(stonehop('check', courseFile)).toMatchObject({
    status: 0,
    stdout: expect.stringContaining('nothing that keeps it'),
  });
  expect(stonehop('hash', courseFile).stdout.trim()).toBe(courseHash(course));
  const told = stonehop('replay', courseFile, file('run.json', JSON.stringify(run)), '--json');
  const result = JSON.parse(told.stdout);
  expect([told.status, result.finished, result.time]).toEqual([0, true, run.claim]);
  expect(result.events.at(-1).kind).toBe('goal');
  const cut = { ...run, inputs: run.inputs.slice(0, 4) };
  expect(stonehop('replay', courseFile, file('cut.json', JSON.stringify(cut))).status).toBe(1);
});

test('what is wrong is said with its place, and the exit code is 1', () => {
  const wrong = structuredClone(course);
  wrong.pieces[3].at = [0, NaN, 0];
  wrong.pieces[4].size = [0, 1, 1];
  const broken = stonehop('check', file('broken.json', JSON.stringify(wrong)));
  expect(broken.status).toBe(1);
  expect(broken.stderr).toContain('pieces.3.at.1 is not a number');
  expect(broken.stderr).toContain('pieces.4.size.0 is smaller than 0.05 m');
  const headless = { ...course, pieces: course.pieces.filter(({ family }) => family !== 'start') };
  expect(stonehop('check', file('headless.json', toCourseFile(headless)))).toMatchObject({
    status: 1,
    stdout: expect.stringContaining('The course has no start'),
  });
  expect(stonehop('hash', path.join(folder, 'nowhere.json'))).toMatchObject({
    status: 1,
    stderr: expect.stringContaining('cannot be read'),
  });
  expect(
    stonehop(
      'replay',
      file('other.json', toCourseFile({ ...course, kind: 'gather' })),
      file('run2.json', JSON.stringify(run)),
    ).stderr,
  ).toContain('another version of the course');
});

describe('import', () => {
  test('a code and a drawing become a course file that is read again', () => {
    const code = file('code.txt', toShareCode(course));
    const out = path.join(folder, 'imported.json');
    expect(stonehop('import', code, '--out', out).status).toBe(0);
    expect(stonehop('hash', out).stdout.trim()).toBe(courseHash(course));
    const svg = '<svg><rect width="9" height="3"/><path d="M0 9L9 18L9 9L0 18z"/></svg>';
    const drawn = stonehop('import', file('quay-plan.svg', svg));
    expect(drawn).toMatchObject({ status: 0, stderr: expect.stringContaining('1 outlines') });
    const made = JSON.parse(drawn.stdout);
    expect(made.name).toBe('quay-plan');
    expect(made.pieces.map(({ family }: { family: string }) => family)).toEqual(['platform']);
  });

  test('what is neither is refused in words', () => {
    const refused = (text: string) => stonehop('import', file('odd.svg', text));
    expect(refused('<svg></svg>')).toMatchObject({
      status: 1,
      stderr: expect.stringContaining('no closed outline'),
    });
    expect(refused('<html></html>').status).toBe(1);
    const away = path.join(folder, 'nowhere', 'a.json');
    const code = file('code.txt', toShareCode(course));
    expect(stonehop('import', code, '--out', away).stderr).toContain('cannot be written');
    expect(stonehop('import', code, '--odd').stderr).toContain('stonehop import FILE');
  });
});

describe('export', () => {
  const courseFile = () => file('exported.json', toCourseFile(course));

  test.each([
    ['glb', /^glTF/],
    ['svg', /^<svg .*1 : \d+/s],
    ['csv', /^id,family,/],
    ['code', /^\S{40,}\n$/],
  ])('as %s to the standard output', (to, form) => {
    const { status, stdout } = stonehop('export', courseFile(), '--to', to);
    expect(status).toBe(0);
    expect(stdout).toMatch(form);
  });

  test('as a picture into a file', () => {
    const out = path.join(folder, 'picture.png');
    expect(stonehop('export', courseFile(), '--to', 'png', '--out', out).status).toBe(0);
    const png = readFileSync(out);
    expect(png.subarray(1, 4).toString()).toBe('PNG');
    expect([png.readUInt32BE(16), png.readUInt32BE(20)]).toEqual([1600, 900]);
  });

  test('what cannot be is said in a line', () => {
    const away = path.join(folder, 'no', 'such', 'folder.svg');
    expect(stonehop('export', courseFile(), '--to', 'svg', '--out', away)).toMatchObject({
      status: 1,
      stderr: expect.stringContaining('cannot be written (ENOENT)'),
    });
    expect(stonehop('export', courseFile(), '--to', 'pdf')).toMatchObject({
      status: 1,
      stderr: expect.stringContaining('--to is one of'),
    });
    for (const args of [['--to'], [], ['--out', 'x']]) {
      expect(stonehop('export', courseFile(), ...args).stderr).toContain('stonehop export FILE');
    }
  });
});
