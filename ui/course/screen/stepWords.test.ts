import { layPieces, movePieces, paintPieces, removePieces, spinPieces } from '@/core/edit';
import { emptyCourse } from '@/core/course';
import { useCourse } from '../../state/courseStore';
import { lastSteps } from './stepWords';

jest.mock('../../parts', () => ({ showToast: jest.fn(() => () => {}) }));

const { open, edit, undo } = useCourse.getState();
const told = (most = 9) => {
  const { course, past } = useCourse.getState();
  return lastSteps(course, past, most);
};
const words = () => told().map((step) => step.words);

beforeEach(() => open('a', 1, emptyCourse('Trial', 'free'), { kind: 'saved', at: 0 }));

test('the last steps are told in words, the last first, and what is undone no more', () => {
  edit((now) => layPieces(now, [{ family: 'crate', at: [0, 0, 0] }]));
  edit((now) =>
    layPieces(now, [
      { family: 'slab', at: [4, 0, 0] },
      { family: 'slab', at: [8, 0, 0] },
    ]),
  );
  edit((now) => movePieces(now, new Set(['p1']), [1, 0, 0]));
  edit((now) => paintPieces(now, new Set(['p2', 'p3']), { material: 'moss' }));
  edit((now) => spinPieces(now, new Set(['p1']), 1, 30, [0, 0, 0], false));
  edit((now) => removePieces(now, new Set(['p3'])));
  edit((now) => ({ ...now, name: 'Another' }));
  expect(words()).toEqual([
    'Named the course',
    'Took away slab',
    'Turned crate',
    'Painted 2 × slab',
    'Moved crate',
    'Laid 2 × slab',
    'Laid crate',
  ]);
  undo();
  expect(words()[0]).toBe('Took away slab');
  expect(told(2)).toHaveLength(2);
});

test('each leads to the pieces of it that are there still', () => {
  edit((now) => layPieces(now, [{ family: 'crate', at: [0, 0, 0] }]));
  edit((now) => layPieces(now, [{ family: 'bush', at: [3, 0, 0] }]));
  edit((now) => removePieces(now, new Set(['p1'])));
  expect(told().map(({ pieces }) => pieces)).toEqual([[], ['p2'], []]);
});

test('what takes the place of something else says both', () => {
  edit((now) => layPieces(now, [{ family: 'crate', at: [0, 0, 0] }]));
  edit((now) => layPieces(removePieces(now, new Set(['p1'])), [{ family: 'cask', at: [0, 0, 0] }]));
  expect(words()[0]).toBe('Laid cask for crate');
});
