import { emptyCourse, modelId, packMesh, type Course } from '@/core/course';
import { standingOf } from './standing';

const own = emptyCourse('Own');
const onServer = (course: Course) => ({ revision: 5, course, changed: 12 });

test('without a draft the course is as the server has it', () => {
  expect(standingOf(undefined, onServer(own))).toEqual({ kind: 'saved', at: 12 });
});

test('a draft made from what the server has waits to be sent', () => {
  const draft = { revision: 5, course: { ...own, name: 'Other' } };
  expect(standingOf(draft, onServer(own))).toEqual({ kind: 'unsaved' });
});

test('a draft made from an older one disagrees with it', () => {
  const draft = { revision: 4, course: { ...own, name: 'Other' } };
  const theirs = { revision: 5, course: own };
  expect(standingOf(draft, onServer(own))).toEqual({ kind: 'conflict', theirs });
});

test('a draft left behind that the server already has is no disagreement, in whatever order its fields stand', () => {
  const turned = Object.fromEntries(Object.entries(own).reverse()) as unknown as Course;
  for (const revision of [4, 5])
    expect(standingOf({ revision, course: turned }, onServer(own))).toEqual({
      kind: 'saved',
      at: 12,
    });
});

test('what was left out when it was sent does not count', () => {
  const mesh = packMesh([0, 0, 0, 1, 0, 0, 0, 1, 0], [0, 1, 2]);
  const draft = {
    revision: 4,
    course: { ...own, models: { [modelId(mesh)]: { name: 'Rock', ...mesh } } },
  };
  expect(standingOf(draft, onServer(own)).kind).toBe('saved');
});
