import { compareCourses, emptyCourse, type Course } from '@/core/course';
import { layPieces, movePieces } from '@/core/edit';
import { differenceWords, rowsOf } from './VersionCompare';

jest.mock('@expo/vector-icons/Feather', () => () => null);

const quay = (): Course =>
  layPieces(emptyCourse('Quay'), [
    { family: 'slab', at: [0, 0, 0] },
    { family: 'crate', at: [4, 0, 0] },
  ]);
const told = (was: Course, is: Course) => differenceWords(compareCourses(was, is));

test('what differs is told in a sentence, and that nothing does', () => {
  const was = quay();
  expect(told(was, was)).toBe('Nothing differs.');
  expect(told(was, { ...was, name: 'Long Quay' })).toBe(
    'The course’s own figures or words differ too.',
  );
  const is = movePieces(was, new Set(was.pieces.map(({ id }) => id)), [3, 4, 0]);
  expect(told(was, is)).toBe('Of the pieces since then 2 were moved.');
  expect(told(was, { ...was, pieces: [] })).toBe('Of the pieces since then 2 are gone.');
});

test('each piece has a line: how far it was moved, or that it was turned', () => {
  const was = quay();
  const [slab, crate] = was.pieces;
  const is: Course = {
    ...was,
    pieces: [
      { ...slab, at: [3, 4, 0] },
      { ...crate, turn: [0, 90, 0] },
    ],
  };
  expect(rowsOf(compareCourses(was, is)).map(({ what }) => what)).toEqual([
    'moved since by 5.00 m',
    'turned since',
  ]);
});
