import { emptyCourse, type Course, type Piece } from '../../course';
import {
  addLink,
  cueMisfit,
  effectMisfit,
  layPieces,
  newCue,
  newEffect,
  type PieceInHand,
} from '../../edit';
import { FAMILIES } from '../../pieces';
import { buildWorld } from '../../run';
import { checkCourse } from '..';

const ground: PieceInHand[] = [
  { family: 'slab', at: [0, -0.5, 0], size: [4, 0.5, 4] },
  { family: 'start', at: [-1, 0, 0] },
  { family: 'lantern', at: [1, 0, 0] },
];

/** Every family as it is, and with what a maker may give a piece besides. */
const PIECES: [string, Piece][] = FAMILIES.filter(({ drawn }) => !drawn).flatMap(({ id }) => {
  const piece: Piece = { id: 'x1', family: id, at: [20, 0, 0] };
  return [
    [id, piece],
    [`${id} that moves`, { ...piece, motion: [{ kind: 'bob', height: 1, period: 2 }] }],
    [`${id} as goal`, { ...piece, role: 'goal', collision: 'on' }],
    [`${id} as scenery`, { ...piece, role: 'scenery' }],
    [`${id} that nothing touches`, { ...piece, collision: 'off' }],
  ] as [string, Piece][];
});

const courseWith = (piece: Piece): Course => {
  const course = layPieces(emptyCourse('Links', 'free'), ground);
  return { ...course, pieces: [...course.pieces, piece] };
};

test.each(PIECES)('%s can be opened, moved and touched just where a run does so', (_, piece) => {
  const course = courseWith(piece);
  const world = buildWorld(course);
  const place = world.placeOf.get('x1')!;
  expect(effectMisfit(course, 'open', piece) === null).toBe(world.pieceGates[place] >= 0);
  expect(effectMisfit(course, 'start', piece) === null).toBe(
    Math.max(world.partMovers[place], world.pieceMovers[place]) >= 0,
  );
  expect(cueMisfit(course, 'touched', piece) === null).toBe(
    world.colliders.some((collider) => collider.piece === place),
  );
});

test('a link that names what cannot do its part tells so, of each piece once', () => {
  const board: Piece = { id: 'x1', family: 'slab', at: [20, 0, 0] };
  const { course } = addLink(courseWith(board), {
    cue: newCue('all-gathered', ['x1']),
    effects: [newEffect('open', ['x1']), newEffect('show', ['x1'])],
  });
  const found = checkCourse(course).filter(({ rule }) => rule === 'misfit');
  expect(found.map(({ piece }) => piece)).toEqual(['x1', 'x1']);
  expect(found[0].message).toMatch(/is no pickup/);
  expect(found[1].message).toMatch(/cannot be opened/);
});
