import { emptyCourse } from '../../course';
import { checkCourse } from '../../check';
import { layPieces, pairOf, pairWith, partnersOf } from '..';

const course = layPieces(emptyCourse('Trial', 'free'), [
  { family: 'portal', at: [0, 0, 0], params: { pair: 4 } },
  { family: 'portal', at: [5, 0, 0] },
  { family: 'portal', at: [10, 0, 0], params: { pair: 4 } },
  { family: 'gate', at: [0, 0, 9], params: { pair: 4 } },
  { family: 'switch', at: [5, 0, 9] },
  { family: 'crate', at: [9, 0, 9] },
]);
const at = (i: number, c = course) => c.pieces[i];
const ids = (pieces: readonly { id: string }[]) => pieces.map(({ id }) => id);

test('a portal touched for its partner joins all that share its number, and nothing else changes', () => {
  expect(partnersOf(course, at(1))).toEqual([]);
  const joined = pairWith(course, 'p2', 'p1');
  expect(pairOf(at(1, joined))).toBe(4);
  expect(ids(partnersOf(joined, at(1, joined)))).toEqual(['p1', 'p3']);
  expect(at(0, joined)).toBe(at(0));
  // Gates of the same number have nothing to do with portals.
  expect(ids(partnersOf(joined, at(3, joined)))).toEqual([]);
  expect(checkCourse(joined).filter(({ message }) => message.includes('portal'))).toEqual([]);
});

test('a switch is paired with a gate, either way round', () => {
  expect(pairOf(at(4, pairWith(course, 'p5', 'p4')))).toBe(4);
  expect(pairOf(at(3, pairWith(course, 'p4', 'p5')))).toBe(1);
});

test('what cannot act together says what can', () => {
  expect(() => pairWith(course, 'p1', 'p4')).toThrow('another portal');
  expect(() => pairWith(course, 'p4', 'p1')).toThrow('Switches and gates');
  expect(() => pairWith(course, 'p4', 'p6')).toThrow('Switches and gates');
  expect(() => pairWith(course, 'p1', 'p1')).toThrow('another piece');
});
