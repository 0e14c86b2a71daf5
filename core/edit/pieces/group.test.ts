import { emptyCourse, type Course } from '../../course';
import {
  addLayer,
  changeLayer,
  choosable,
  chooseAlike,
  clearMarks,
  groupPieces,
  isHidden,
  isLocked,
  layPieces,
  markPieces,
  moveLayer,
  paintOf,
  paintPieces,
  putInLayer,
  removeLayer,
  setCollision,
  setFamilyCollision,
  ungroupPieces,
  withGroups,
} from '..';
import { touches } from '../../pieces';

const course = layPieces(emptyCourse('Trial'), [
  { family: 'slab', at: [0, 0, 0] },
  { family: 'crate', at: [2, 0, 0] },
  { family: 'hut', at: [8, 0, 0] },
]);
const of = (...ids: string[]) => new Set(ids);
const piece = (c: Course, id: string) => c.pieces.find((p) => p.id === id)!;

test('groups nest once, and are taken apart one by one or all at once', () => {
  const inner = groupPieces(course, of('p1', 'p2'));
  const outer = groupPieces(inner, of('p1', 'p2', 'p3'));
  expect(piece(outer, 'p1').group).toBe('g2/g1');
  expect(piece(outer, 'p3').group).toBe('g2');
  expect(withGroups(outer, ['p3'])).toEqual(of('p1', 'p2', 'p3'));
  const third = groupPieces(outer, of('p1', 'p2', 'p3'));
  expect(piece(third, 'p1').group).toBe('g3/g2');
  const apart = ungroupPieces(outer, of('p1', 'p2', 'p3'));
  expect(withGroups(apart, ['p1'])).toEqual(of('p1', 'p2'));
  expect(ungroupPieces(outer, of('p1', 'p2', 'p3'), true)).toEqual(course);
});

test('layers have names and an order, hide and lock what is in them, and go without their pieces', () => {
  const { course: one, id: a } = addLayer(course, 'Ground');
  const { course: two, id: b } = addLayer(one, 'Huts');
  expect(two.layers!.map(({ name }) => name)).toEqual(['Ground', 'Huts']);
  expect(moveLayer(two, b, -1).layers!.map(({ id }) => id)).toEqual([b, a]);
  expect(moveLayer(two, a, -1)).toBe(two);
  const filled = putInLayer(two, of('p3'), b);
  const hidden = changeLayer(filled, b, { hidden: true, locked: true });
  expect([isHidden(hidden, piece(hidden, 'p3')), isLocked(hidden, piece(hidden, 'p3'))]).toEqual([
    true,
    true,
  ]);
  expect(choosable(hidden).map(({ id }) => id)).toEqual(['p1', 'p2']);
  expect(chooseAlike(filled, of('p3'), 'layer')).toEqual(['p3']);
  const shown = clearMarks(clearMarks(hidden, 'hidden'), 'locked');
  expect(choosable(shown)).toHaveLength(3);
  const gone = removeLayer(removeLayer(filled, b), a);
  expect(gone).toEqual(course);
  expect(piece(changeLayer(filled, b, { name: 'Sheds' }), 'p3').layer).toBe(b);
});

test('pieces are locked and hidden by themselves, and all of it taken back', () => {
  const marked = markPieces(markPieces(course, of('p1'), 'locked', true), of('p2'), 'hidden', true);
  expect(choosable(marked).map(({ id }) => id)).toEqual(['p3']);
  expect(clearMarks(clearMarks(marked, 'hidden'), 'locked')).toEqual(course);
});

test('paint is a material or a colour, and the own one is left out', () => {
  const red = paintPieces(course, of('p1'), { colour: '#C8553D' });
  expect(paintOf(piece(red, 'p1'))).toEqual({ colour: '#C8553D' });
  const slate = paintPieces(red, of('p1'), { material: 'slate' });
  expect(piece(slate, 'p1').look).toEqual({ material: 'slate' });
  expect(chooseAlike(slate, of('p1'), 'look')).toEqual(['p1']);
  expect(paintPieces(slate, of('p1'), { material: 'stone' })).toEqual(course);
  expect(paintPieces(slate, of('p1'), 'own')).toEqual(course);
});

test('what touches is said by the piece, else by the course, else by its family', () => {
  const says = (c: Course, id: string) => touches(c, piece(c, id));
  expect([says(course, 'p1'), says(course, 'p3')]).toEqual([true, false]);
  const huts = setFamilyCollision(course, 'hut', true);
  expect(says(huts, 'p3')).toBe(true);
  expect(says(setCollision(huts, of('p3'), 'off'), 'p3')).toBe(false);
  expect(setFamilyCollision(huts, 'hut', null)).toEqual(course);
  expect(setCollision(setCollision(course, of('p1'), 'off'), of('p1'), 'usual')).toEqual(course);
});
