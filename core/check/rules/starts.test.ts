import { emptyCourse, type Course } from '../../course';
import { layPieces, setRule, type PieceInHand } from '../../edit';
import { legOf, markOf } from '../../pieces';
import { buildWorld } from '../../run';
import { applyFix, checkCourse } from '..';

const course = (...pieces: PieceInHand[]): Course =>
  layPieces(emptyCourse('Starts', 'free'), [
    { family: 'slab', at: [0, -0.5, 0], size: [30, 0.5, 6] },
    { family: 'start', at: [-6, 0, 0] },
    { family: 'lantern', at: [6, 0, 0] },
    ...pieces,
  ]);
const found = (of: Course) => checkCourse(of).filter(({ rule }) => rule === 'starts');
const legsOfStarts = ({ pieces }: Course) =>
  pieces.filter((piece) => markOf(piece) === 'start').map(legOf);
const more: PieceInHand[] = [
  { family: 'start', at: [-6, 0, 2] },
  { family: 'start', at: [-6, 0, -2] },
];

test('starts laid before there were several become starts of one leg when the rule is chosen', () => {
  const laid = course(...more);
  expect(legsOfStarts(laid)).toEqual([1, 2, 3]);
  const several = setRule(laid, 'starts', 'chance');
  expect(legsOfStarts(several)).toEqual([1, 1, 1]);
  expect(several.legs).toBeUndefined();
  expect(buildWorld(several).starts.map(({ length }) => length)).toEqual([3]);
  expect(found(several)).toEqual([]);
});

test('legs that have a goal stay, with the starts laid for them', () => {
  const laid = course(
    { family: 'start', at: [-6, 0, 2] },
    { family: 'lantern', at: [6, 0, 2] },
    { family: 'start', at: [-6, 0, -2] },
  );
  const several = setRule(laid, 'starts', 'turn');
  expect(legsOfStarts(several)).toEqual([1, 2, 2]);
  expect(several.legs).toHaveLength(2);
  expect(buildWorld(several).starts.map(({ length }) => length)).toEqual([1, 2]);
});

test('legs that were named, or were never begun, stay', () => {
  const laid = course(...more);
  const named = { ...laid, legs: [{ name: 'Quay' }, {}, { name: 'Kiln' }] };
  expect(setRule(named, 'starts', 'turn').legs).toEqual(named.legs);
  const planned = { ...course(), legs: [{}, { par: 4 }, { par: 5 }] };
  expect(setRule(planned, 'starts', 'turn').legs).toEqual(planned.legs);
});

test('a start on a leg that is not there is told, and put on the first by a touch', () => {
  const { legs: _, ...laid } = course(...more);
  const lost: Course = { ...laid, starts: 'chance' };
  const [second, third, ...others] = found(lost);
  expect(others).toEqual([]);
  expect(second).toMatchObject({ weight: 'notice', message: expect.stringMatching(/on leg 2/) });
  const mended = applyFix(applyFix(lost, second.fix!), third.fix!);
  expect(found(mended)).toEqual([]);
  expect(buildWorld(mended).starts.map(({ length }) => length)).toEqual([3]);
});
