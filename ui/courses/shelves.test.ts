import fc from 'fast-check';
import type { CourseInList } from '../state/unsent';
import { ALL_SHOWN, coursesLike, shelvesOf, shownOf, tagsOf } from './shelves';

const item = (name: string, folder: string | null = null, tags: string[] = []): CourseInList => ({
  ...{ id: name, revision: 1, name, kind: 'point', runner: 'hopper', pieces: 3, length: 40 },
  ...{ changed: 0, proof: null, published: null, folder, tags },
});
const list = [
  item('Gull Ledges', 'Quay', ['night', 'wet']),
  item('Eel Run', 'Quay'),
  item('Weir Hop', null, ['wet']),
  item('Low Row', 'Afon'),
];
const names = (courses: readonly CourseInList[]) => courses.map(({ name }) => name);

test('folders and tags are told in order with how many have each', () => {
  expect(shelvesOf(list)).toEqual({
    folders: [
      { name: 'Afon', count: 1 },
      { name: 'Quay', count: 2 },
    ],
    tags: [
      { name: 'night', count: 1 },
      { name: 'wet', count: 2 },
    ],
    loose: 1,
  });
});

test('each course is in one folder or in none, and under each of its tags', () => {
  const { folders } = shelvesOf(list);
  const apart = [
    ...folders.flatMap(({ name }) => shownOf(list, { kind: 'folder', name })),
    ...shownOf(list, { kind: 'loose' }),
  ];
  expect(names(apart).sort()).toEqual(names(list).sort());
  expect(names(shownOf(list, { kind: 'tag', name: 'wet' }))).toEqual(['Gull Ledges', 'Weir Hop']);
  expect(shownOf(list, ALL_SHOWN)).toBe(list);
});

test('words find names, folders and tags', () => {
  expect(names(coursesLike(list, 'eel'))[0]).toBe('Eel Run');
  expect(names(coursesLike(list, 'afon'))).toContain('Low Row');
  expect(names(coursesLike(list, 'night'))).toContain('Gull Ledges');
  expect(coursesLike(list, ' ')).toBe(list);
});

test('tags are what stands between commas, each once', () => {
  expect(tagsOf(' wet,  low   tide ,, wet,')).toEqual(['wet', 'low tide']);
  fc.assert(
    fc.property(fc.array(fc.string()), (words) => {
      const tags = tagsOf(words.join(','));
      expect(tagsOf(tags.join(', '))).toEqual(tags);
    }),
  );
});
