import { emptyCourse } from './create';
import { hasPrivate, withoutPrivate } from './private';
import type { Course } from './schema';

const open: Course = {
  ...emptyCourse('Quay'),
  welcome: 'Mind the gulls.',
  sketch: { points: [[0, 0, 0]], shown: 0.5 },
};

test('what is the maker’s alone stays, and all else goes along', () => {
  const course: Course = {
    ...open,
    notes: 'Tam’s birthday',
    aside: ['seam p1 p2'],
    sketch: {
      ...open.sketch!,
      notes: [{ at: [0, 0, 0], text: 'Ask Isla' }],
      picture: { data: 'data:image/png;base64,', at: [0, 0, 0], width: 10, aspect: 1 },
    },
  };
  expect(hasPrivate(course)).toBe(true);
  expect(withoutPrivate(course)).toEqual(open);
  expect(JSON.stringify(withoutPrivate(course))).not.toMatch(/Tam|Isla|base64|seam/);
});

test('a course without anything private is itself', () => {
  expect(withoutPrivate(open)).toBe(open);
  const bare = emptyCourse('Bare');
  expect(withoutPrivate(bare)).toBe(bare);
  expect(withoutPrivate({ ...bare, notes: 'x' })).toEqual(bare);
});
