import { readFileSync } from 'node:fs';
import path from 'node:path';
import { toJsonSchema } from '@valibot/to-json-schema';
import { canonicalJson, CourseSchema, emptyCourse, toCourse } from '.';

test('the published JSON Schema is the one the application reads by', () => {
  const file = path.join(__dirname, '..', '..', 'docs', 'course.schema.json');
  const { title, ...published } = JSON.parse(readFileSync(file, 'utf8'));
  expect(title).toBe('Stone Hop course');
  expect(published).toEqual(
    JSON.parse(JSON.stringify(toJsonSchema(CourseSchema, { errorMode: 'ignore' }))),
  );
});

test('canonical JSON depends on the data alone', () => {
  expect(canonicalJson({ b: [1, { d: 2, c: undefined }], a: 'x' })).toBe(
    '{"a":"x","b":[1,{"d":2}]}',
  );
});

test.each([
  ['pieces', { pieces: {} }],
  ['kind', { kind: 'race' }],
  ['runner.settings.bounce', { runner: { kind: 'roller', settings: { bounce: 2 } } }],
  ['gravity', { gravity: 0 }],
  ['targets.swift', { targets: { steady: 3, brisk: 2, swift: 0 } }],
  ['tide', { tide: 1e9 }],
])('%s is held to its limits', (place, change) => {
  expect(() => toCourse({ ...emptyCourse('Trial'), ...change })).toThrow(place);
});

test.each([
  ['sky', { sky: [] }],
  ['runner.settings', { runner: { kind: 'roller', settings: [] } }],
  ['allowances.families', { allowances: { families: [] } }],
  ['pieces.0.look', { pieces: [{ id: 'a', family: 'slab', at: [0, 0, 0], look: [] }] }],
  ['pieces.0.params', { pieces: [{ id: 'a', family: 'slab', at: [0, 0, 0], params: [] }] }],
  ['models', { models: [] }],
])('a list in place of the fields of %s is not taken for none', (place, change) => {
  expect(() => toCourse({ ...emptyCourse('Trial'), ...change })).toThrow(place);
});
