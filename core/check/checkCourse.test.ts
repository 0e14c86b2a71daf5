import { layPieces } from '../edit';
import { emptyCourse, type Course } from '../course';
import { applyFix, checkCourse } from '.';

const sound = layPieces(emptyCourse('Sound'), [
  { family: 'slab', at: [0, -0.5, 0], size: [8, 0.5, 2] },
  { family: 'start', at: [-3, 0, 0] },
  { family: 'lantern', at: [3, 0, 0] },
]);
const rules = (course: Course) => checkCourse(course).map(({ rule }) => rule);
const without = (family: string): Course => ({
  ...sound,
  pieces: sound.pieces.filter((piece) => piece.family !== family),
});

test('a sound course has no findings', () => expect(rules(sound)).toEqual([]));

test('what is missing is said, and the start can be laid', () => {
  expect(rules(without('lantern'))).toEqual(['goal']);
  const [finding] = checkCourse(without('start'));
  expect(finding.rule).toBe('start');
  expect(rules(applyFix(without('start'), finding.fix!))).toEqual([]);
});

test.each<[string, Parameters<typeof layPieces>[1][number]]>([
  ['starts', { family: 'start', at: [0.5, 0, 0] }],
  ['family', { family: 'rocket', at: [0, 0, 0] }],
  ['setting', { family: 'drift', at: [9, 0, 0], params: { period: -1 } }],
  ['setting', { family: 'drift', at: [9, 0, 0], params: { direction: 'away' } }],
  ['speed', { family: 'drift', at: [9, 0, 0], params: { span: 60, period: 0.5 } }],
  ['twins', { family: 'slab', at: [0, -0.5, 0] }],
])('%s is found', (rule, piece) => {
  const course = { ...sound, pieces: [...sound.pieces, { ...piece, id: 'x1' }] };
  expect(rules(course)).toContain(rule);
});

test('a start without ground under it is found', () => {
  expect(rules(without('slab'))).toEqual(['start-air']);
});

test('marks below a tide line set by hand are found', () => {
  expect(rules({ ...sound, tide: 3 })).toContain('below-tide');
});
