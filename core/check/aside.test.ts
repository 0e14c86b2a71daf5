import { emptyCourse } from '../course';
import { layPieces, removePieces } from '../edit';
import { checkCourse, findingKey, partedFindings, putAside, takeUp } from '.';

const twins = layPieces(emptyCourse('Trial', 'free'), [
  ...[0, 0, 9, 9].map((x) => ({ family: 'crate', at: [x, 0, 0] as [number, number, number] })),
]);
const notices = () => checkCourse(twins).filter(({ rule }) => rule === 'twins');

test('a finding that is put aside is told apart, and told again when it is taken up', () => {
  const [one, other] = notices();
  const course = putAside(twins, one);
  const { told, aside } = partedFindings(course, checkCourse(course));
  expect(aside.map(findingKey)).toEqual([findingKey(one)]);
  expect(told.map(findingKey)).toContain(findingKey(other));
  expect(takeUp(putAside(course, other), other).aside).toEqual([findingKey(one)]);
  expect('aside' in takeUp(course, one)).toBe(false);
});

test('an error stays, whatever is kept', () => {
  const found = checkCourse(twins);
  const errors = found.filter(({ weight }) => weight === 'error');
  expect(errors.length).toBeGreaterThan(0);
  const { told } = partedFindings({ aside: found.map(findingKey) }, found);
  expect(told).toEqual(errors);
});

test('names are in no order of the pieces, twice is once, and those of pieces that are gone are dropped', () => {
  const seam = { rule: 'seam', weight: 'notice', message: 'x' } as const;
  expect(findingKey({ ...seam, piece: 'p1', other: 'p2' })).toBe('seam p1 p2');
  expect(findingKey({ ...seam, piece: 'p2', other: 'p1' })).toBe('seam p1 p2');
  const [one, other] = notices();
  const both = putAside(putAside(putAside(twins, one), other), one);
  expect(both.aside).toEqual([findingKey(other), findingKey(one)]);
  const gone = removePieces(both, new Set([other.piece!]));
  expect(putAside(gone, one).aside).toEqual([findingKey(one)]);
});

test('of very many only the last are kept', () => {
  const course = { ...twins, aside: Array.from({ length: 500 }, (_, i) => `crowd-${i}`) };
  const { aside } = putAside(course, notices()[0]);
  expect(aside).toHaveLength(500);
  expect(aside).not.toContain('crowd-0');
});
