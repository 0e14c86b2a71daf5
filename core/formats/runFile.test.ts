import fc from 'fast-check';
import { DEMO_RUNS } from '@/demo/runs';
import { readRunFile, RunFileError, runFileName, toRunFile } from './runFile';

const [{ run }] = DEMO_RUNS['low-tide-steps'];

test('every demo run comes back from its file as it was', () => {
  for (const runs of Object.values(DEMO_RUNS)) {
    for (const { run: one } of runs) expect(readRunFile(toRunFile(one))).toEqual(one);
  }
});

test('a file is called by its course and time', () => {
  expect(runFileName('Low Tide Steps', run)).toMatch(/^low-tide-steps-\d+-\d{3}\.run\.json$/);
});

test('what is no run is refused in words: cut off, of something else, with wrong figures', () => {
  const text = toRunFile(run);
  expect(() => readRunFile(text.slice(0, 200))).toThrow('The file is cut off or is not JSON.');
  expect(() => readRunFile('{"name":"A course"}')).toThrow(RunFileError);
  expect(() => readRunFile(JSON.stringify({ ...run, format: 'other' }))).toThrow(
    'format This is not a Stone Hop run.',
  );
  expect(() => readRunFile(JSON.stringify({ ...run, course: 'abc' }))).toThrow(
    'course is no course hash',
  );
  expect(() => readRunFile(JSON.stringify({ ...run, claim: -1 }))).toThrow(RunFileError);
});

test('whatever else is opened is refused as well, and never anything but in words', () => {
  fc.assert(
    fc.property(fc.oneof(fc.string(), fc.json()), (text) => {
      expect(() => readRunFile(text)).toThrow(RunFileError);
    }),
  );
});
