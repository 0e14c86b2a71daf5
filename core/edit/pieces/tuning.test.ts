import { MOST_LINKS, MOST_LOOSE, emptyCourse, type Course, type ShapePart } from '../../course';
import { contactShapes, DENSITY, diffPieces, familyOf, massOf } from '../../pieces';
import {
  addLink,
  addMotion,
  attachTo,
  changeLink,
  changeMotion,
  dentOf,
  centredPart,
  fittedPart,
  refittedPart,
  layPieces,
  linksOf,
  movePartPoint,
  newCue,
  newEffect,
  removeLink,
  removeMotion,
  removePieces,
  setAllowance,
  setLoose,
  setRunner,
  setRunnerSetting,
  setShape,
  setBehaviour,
  shapeFromPicture,
  shapeOf,
  splitOutline,
  splitShapeEdge,
} from '..';

const course: Course = layPieces(emptyCourse('Trial', 'free'), [
  { family: 'start', at: [0, 0, 0] },
  { family: 'crate', at: [3, 1, 3], turn: [0, 90, 0] },
  { family: 'crate', at: [6, 1, 3] },
  { family: 'touch', at: [9, 0, 3] },
]);
const one = new Set(['p2']);
const piece = (c: Course, id = 'p2') => c.pieces.find((p) => p.id === id)!;

test('motions add up to three, follow the runner once, and are held to their limits', () => {
  const both = addMotion(addMotion(course, one, 'spin'), one, 'chase');
  expect(() => addMotion(both, one, 'arrive')).toThrow('already follows');
  const three = addMotion(both, one, 'bob');
  expect(() => addMotion(three, one, 'hop')).toThrow('at most three');
  expect(() => changeMotion(both, one, 0, { period: 0 })).toThrow('shorter');
  expect(piece(both).motion![0]).toMatchObject({ period: 6 });
  const woken = setBehaviour(both, one, 'wake', { by: 'near', range: 4 });
  const none = removeMotion(removeMotion(woken, one, 0), one, 0);
  expect(piece(none).wake).toBeUndefined();
  expect(() => setBehaviour(course, one, 'breaks', { speed: -1 } as never)).toThrow(RangeError);
});

test('nothing goes along with what goes along with it', () => {
  const tied = attachTo(course, one, 'p3');
  expect(() => attachTo(tied, new Set(['p3']), 'p2')).toThrow('already');
  expect(() => attachTo(course, one, 'p2')).toThrow('already');
  expect(piece(removePieces(tied, new Set(['p3']))).attach).toBeUndefined();
});

test('links are made, changed and listed from both ends, and go with what they tie', () => {
  const made = addLink(course, {
    cue: newCue('touched', ['p4']),
    effects: [newEffect('hide', ['p2']), newEffect('message')],
  });
  expect(made.id).toBe('l1');
  expect(linksOf(made.course, 'p4').from).toHaveLength(1);
  expect(linksOf(made.course, 'p2').to).toHaveLength(1);
  const later = changeLink(made.course, 'l1', { delay: 2, chance: 0.5 });
  expect(later.links![0]).toMatchObject({ delay: 2, chance: 0.5 });
  expect(() => changeLink(later, 'l1', { chance: 2 })).toThrow('above');
  // Without what it was done to it still has its message; without its cue it goes.
  const half = removePieces(later, new Set(['p2']));
  expect(half.links![0].effects.map(({ kind }) => kind)).toEqual(['message']);
  expect(removePieces(later, new Set(['p4'])).links).toBeUndefined();
  expect(removeLink(later, 'l1').links).toBeUndefined();
});

test('a shape is begun from the picture, drawn, split where it has a dent, and kept', () => {
  const crate = piece(course);
  const hull = shapeFromPicture(crate, 'hull');
  expect(hull.parts).toHaveLength(1);
  const [part] = hull.parts;
  if (part.kind !== 'outline') throw new Error('The hull is no outline.');
  const longer = splitShapeEdge(part, 0);
  expect(longer.points).toHaveLength(part.points.length + 1);
  const dented = movePartPoint(longer, 1, [0, 0.5]) as typeof part;
  expect(dentOf(longer.points)).toBe(-1);
  expect(dentOf(dented.points)).toBeGreaterThanOrEqual(0);
  expect(() => setShape(course, crate, 'piece', { ...hull, parts: [dented] })).toThrow('dent');
  const split = splitOutline(dented);
  expect(split.length).toBeGreaterThan(1);
  expect(split.every(({ points }) => dentOf(points) < 0)).toBe(true);
  const kept = setShape(course, crate, 'piece', { ...hull, parts: split });
  expect(contactShapes(kept, piece(kept)).length).toBe(split.length);
  const flat = {
    ...part,
    points: [
      [0, 0],
      [1, 0],
      [2, 0],
    ] as [number, number][],
  };
  expect(() => setShape(course, crate, 'piece', { ...hull, parts: [flat] })).toThrow('no area');
  const family = setShape(course, crate, 'family', hull);
  expect(shapeOf(family, piece(family, 'p3'))).toEqual(hull);
  expect(setShape(family, crate, 'family', undefined).shapes).toBeUndefined();
});

test('the difference of shape and picture is small for a box, and grows as the shape leaves it', () => {
  const crate = piece(course);
  const box = setShape(course, crate, 'piece', {
    size: [...familyOf('crate').size] as [number, number, number],
    parts: [fittedPart(crate, 'box')],
  });
  const near = diffPieces(box, piece(box))!;
  expect(near.area).toBeLessThan(0.1);
  const ball = setShape(course, crate, 'piece', {
    size: [...familyOf('crate').size] as [number, number, number],
    parts: [{ kind: 'ball', at: [0, 3, 0], radius: 0.2 }],
  });
  const far = diffPieces(ball, piece(ball))!;
  expect(far.area).toBeGreaterThan(0.9);
  expect(far.distance).toBeGreaterThan(1);
});

test('a part is put in the middle of the picture, or made to fit it, keeping what it is', () => {
  const crate = piece(course);
  const [w, h] = familyOf('crate').size;
  const ball: ShapePart = {
    kind: 'ball',
    at: [3, -2, 1],
    radius: 0.2,
    allowance: { by: 'cm', value: 3 },
  };
  expect(centredPart(crate, ball)).toEqual({ ...ball, at: [0, h / 2, 0] });
  expect(refittedPart(crate, ball)).toEqual({
    ...fittedPart(crate, 'ball'),
    allowance: ball.allowance,
  });
  const wedge: ShapePart = {
    kind: 'outline',
    points: [
      [5, 5],
      [6, 5],
      [5, 7],
    ],
    across: 2,
  };
  expect(centredPart(crate, wedge)).toEqual({
    kind: 'outline',
    points: [
      [-0.5, h / 2 - 1],
      [0.5, h / 2 - 1],
      [-0.5, h / 2 + 1],
    ],
  });
  const fitted = refittedPart(crate, wedge);
  expect(fitted.kind === 'outline' && fitted.points).toEqual([
    [-w / 2, 0],
    [w / 2, 0],
    [-w / 2, h],
  ]);
  const capsule: ShapePart = { kind: 'capsule', from: [1, 1], to: [1, 2], radius: 0.5 };
  expect(centredPart(crate, capsule)).toMatchObject({
    from: [0, h / 2 - 0.5],
    to: [0, h / 2 + 0.5],
  });
});

test('allowances and runners are set and left out again when they say nothing', () => {
  const kind = setAllowance(course, { role: 'hazard' }, { by: 'cm', value: -8 });
  expect(setAllowance(kind, { role: 'hazard' }, undefined).allowances).toBeUndefined();
  const cart = setRunner(course, { kind: 'cart', settings: {} });
  expect(cart.runner).toEqual({ kind: 'cart' });
  const quick = setRunnerSetting(cart, 'topSpeed', 20, 14);
  expect(setRunnerSetting(quick, 'topSpeed', 14, 14).runner).toEqual({ kind: 'cart' });
  expect(() => setRunnerSetting(cart, 'bounce', 3, 0.15)).toThrow('above');
  expect(setRunnerSetting(cart, 'gravity', 9, 22).gravity).toBe(9);
});

test('pieces are made loose unless they move by themselves, act or are too many', () => {
  const loose = setLoose(course, one, true);
  expect(piece(loose).loose).toBe(true);
  expect(piece(setLoose(loose, one, false)).loose).toBeUndefined();
  expect(() => addMotion(loose, one, 'spin')).toThrow('A loose piece falls');
  const moving = addMotion(course, one, 'bob');
  expect(() => setLoose(moving, one, true)).toThrow('Crate moves by itself');
  expect(() => setLoose(course, new Set(['p4']), true)).toThrow('Touch region cannot be loose');
  expect(() => setLoose(course, new Set(['p2', 'p1']), true)).toThrow('Start cannot be loose');
  const many = layPieces(
    course,
    Array.from({ length: MOST_LOOSE + 1 }, () => ({ family: 'cask', at: [0, 0, 0] as never })),
  );
  const casks = many.pieces.filter(({ family }) => family === 'cask').map(({ id }) => id);
  expect(() => setLoose(many, new Set(casks), true)).toThrow('at most 100 loose pieces');
  expect(setLoose(many, new Set(casks.slice(1)), true).pieces.filter((p) => p.loose)).toHaveLength(
    MOST_LOOSE,
  );
});

test('what a piece weighs follows from its size and what it is made of', () => {
  const weight = (size: [number, number, number], material?: 'metal') =>
    massOf(
      course,
      layPieces(emptyCourse('Weights'), [
        { family: 'crate', at: [0, 0, 0], size, ...(material ? { look: { material } } : {}) },
      ]).pieces.map((p) => ({ ...p, loose: true as const }))[0],
    );
  expect(weight([1, 1, 1])).toBeCloseTo(600, 6);
  expect(weight([2, 1, 0.5])).toBeCloseTo(600, 6);
  expect(weight([1, 1, 1], 'metal') / weight([1, 1, 1])).toBeCloseTo(DENSITY.metal / 600, 9);
});

test('what no run could bear is refused when it is set, with the figure', () => {
  const boulders = layPieces(
    emptyCourse('Many', 'free'),
    Array.from({ length: 13 }, (_, i) => ({ family: 'boulder', at: [3 * i, 0, 0] as never })),
  );
  const all = new Set(boulders.pieces.map(({ id }) => id));
  const thrower = { what: 'boulder', size: 0.5, interval: 1, speed: 5, life: 3, most: 20 };
  expect(() => setBehaviour(boulders, all, 'thrower', thrower)).toThrow(
    /260 copies .* at most 240/,
  );
  const fewer = setBehaviour(boulders, all, 'thrower', { ...thrower, most: 18 });
  expect(fewer.pieces.every((piece) => piece.thrower)).toBe(true);
  // Less of what is too much already is no worse.
  const over = { ...fewer, pieces: fewer.pieces.map((p) => ({ ...p, thrower })) };
  expect(setBehaviour(over, all, 'thrower', { ...thrower, most: 19 }).pieces).toHaveLength(13);
  const links = Array.from({ length: MOST_LINKS }, (_, i) => ({
    id: `l${i}`,
    cue: { kind: 'start' as const },
    effects: [{ kind: 'win' as const }],
  }));
  expect(() => addLink({ ...boulders, links }, links[0])).toThrow(/at most 500 links/);
});
