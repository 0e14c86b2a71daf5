import fc from 'fast-check';
import type { Piece } from '../course';
import type { PieceInHand } from '../edit';
import {
  FAMILIES,
  FIELD_KINDS,
  localGeometry,
  placedField,
  toWorld,
  turnOf,
  type Field,
} from '../pieces';
import { loadPhysics, NO_INPUT } from '.';
import { free, slab } from './field.testing';
import { Trial } from './testing';

// Undertow and eddy stand for all fields that act by where they are met.

const [PUSH_X, PUSH_Y, PUSH_Z] = [0, 1, 2];
/** The push on a runner at the origin, m/s². Its middle is about half a metre above its foot. */
const pushOf = (...pieces: PieceInHand[]) => {
  const { field } = new Trial(free(...pieces)).go(NO_INPUT, 2).state;
  return [field[PUSH_X], field[PUSH_Y], field[PUSH_Z]];
};
const about = (family: 'undertow' | 'eddy', change: Partial<PieceInHand> = {}): PieceInHand => ({
  ...{ family, at: [3, -0.5, 0], size: [12, 4, 12], params: { force: 2 } },
  ...change,
});

test('an undertow pulls to its middle as strongly as it says, from every side', () => {
  fc.assert(
    fc.property(fc.double({ min: 0, max: 6.28, noNaN: true }), (angle) => {
      const at = [4 * Math.cos(angle), -0.5, 4 * Math.sin(angle)] as const;
      const [x, y, z] = pushOf(about('undertow', { at: [...at] }));
      expect(Math.hypot(x, y, z)).toBeCloseTo(2, 9);
      expect(Math.hypot(x, z)).toBeGreaterThan(1.9);
      expect(Math.atan2(z, x)).toBeCloseTo(Math.atan2(at[2], at[0]), 3);
    }),
    { numRuns: 30 },
  );
});

test('below nothing it pushes away, and two add up', () => {
  const [out] = pushOf(about('undertow', { params: { force: -2 } }));
  expect(out).toBeLessThan(-1.9);
  const left = about('undertow', { at: [-3, -0.5, 0] });
  expect(pushOf(about('undertow'), left)[PUSH_X]).toBeCloseTo(0, 9);
});

test('an eddy turns what is in it square to the way from its axis; flipped and turned pieces turn it too', () => {
  const [x, , z] = pushOf(about('eddy'));
  expect([x, z]).toEqual([expect.closeTo(0, 3), expect.closeTo(2, 6)]);
  // Anticlockwise from above is from x to -z: the runner is at -x of the axis.
  expect(pushOf(about('eddy', { params: { force: 2, way: 'back' } }))[PUSH_Z]).toBeCloseTo(-2, 6);
  expect(pushOf(about('eddy', { flip: true }))[PUSH_Z]).toBeCloseTo(-2, 6);
  const over = about('eddy', { at: [3, 3, 0], turn: [180, 0, 0] });
  expect(pushOf(over)[PUSH_Z]).toBeCloseTo(-2, 6);
});

test('nearer than half a metre to the middle both grow weaker, down to nothing', () => {
  for (const family of ['eddy', 'undertow'] as const) {
    const strength = (x: number) =>
      Math.hypot(...pushOf(about(family, { at: [x, family === 'eddy' ? -0.5 : -0.1, 0] })));
    expect(strength(1)).toBeCloseTo(2, 1);
    const near = strength(0.05);
    expect(near).toBeLessThan(1.2);
    expect(Number.isFinite(near)).toBe(true);
  }
});

test('they go along with what carries them', () => {
  const ferry = slab([3, -2, 0], {
    motion: [{ kind: 'path', points: [[-6, 0, 0]], speed: 60, after: 'once' }],
  });
  const carried = free(ferry, about('undertow', { attach: 'p3' }));
  const { field } = new Trial(carried).go(NO_INPUT, 30).state;
  expect(field[PUSH_X]).toBeLessThan(-1.9);
});

test('what is loose is drawn and carried round as the runner is', async () => {
  const cask: PieceInHand = {
    ...{ family: 'block', at: [6, 0, 6], size: [0.6, 0.6, 0.6], loose: true },
    look: { material: 'timber' },
  };
  const drift = async (family: 'undertow' | 'eddy') => {
    const course = free(cask, about(family, { at: [10, -0.5, 6], params: { force: 25 } }));
    await loadPhysics(course);
    const { state, world } = new Trial(course).go(NO_INPUT, 60);
    const { drive } = world.loose[0];
    return [state.dynamicPoses[drive], state.dynamicPoses[drive + 2]];
  };
  expect((await drift('undertow'))[0]).toBeGreaterThan(0.5);
  expect((await drift('eddy'))[1]).toBeGreaterThan(0.5);
});

test('a middle of an undertow and the post of an eddy hurt', () => {
  for (const family of ['undertow', 'eddy'] as const) {
    const trial = new Trial(free(about(family, { at: [3, 0, 0], params: { force: 0 } })));
    trial.go({ x: 16, z: 0, jump: false }, 240);
    expect(trial.events.map(({ kind }) => kind)).toContain('hazard');
  }
});

const vec = fc.tuple(
  ...[1, 2, 3].map(() => fc.double({ min: -9, max: 9, noNaN: true })),
) as fc.Arbitrary<[number, number, number]>;
/** A field of each kind, with its places and directions by chance. */
const FIELDS: { readonly [K in Field['kind']]: fc.Arbitrary<Field> } = {
  touch: fc.constant({ kind: 'touch' }),
  quiet: fc.constant({ kind: 'quiet' }),
  hurt: fc.constant({ kind: 'hurt' }),
  fall: fc.constant({ kind: 'fall' }),
  slow: fc.constant({ kind: 'slow', part: 0.5 }),
  slip: fc.constant({ kind: 'slip', part: 0.5 }),
  bounce: fc.constant({ kind: 'bounce', speed: 5 }),
  size: fc.constant({ kind: 'size', part: 0.5 }),
  points: fc.constant({ kind: 'points', rate: 3 }),
  camera: fc.constant({ kind: 'camera', camera: 'side', distance: 9 }),
  push: vec.map((along) => ({ kind: 'push', along, force: 3 })),
  gravity: vec.map((along) => ({ kind: 'gravity', along, part: 2 })),
  pull: vec.map((towards) => ({ kind: 'pull', towards, force: 3 })),
  swirl: fc.tuple(vec, vec).map(([at, axis]) => ({ kind: 'swirl', about: at, axis, force: 3 })),
};

test.each(Object.keys(FIELDS) as Field['kind'][])(
  'a field of kind %s is itself again when it is mirrored twice, and where it was when it is placed nowhere',
  (kind) => {
    const piece: Piece = { id: 'p', family: 'block', at: [0, 0, 0] };
    fc.assert(
      fc.property(FIELDS[kind], (field) => {
        const row = FIELD_KINDS[kind] as { mirrored: (field: Field) => Field };
        const twice = row.mirrored(row.mirrored(field));
        expect(JSON.parse(JSON.stringify(twice))).toEqual(JSON.parse(JSON.stringify(field)));
        const placed = placedField(field, turnOf(piece), toWorld(piece));
        expect(JSON.stringify(placed)).toBe(JSON.stringify(field));
      }),
      { numRuns: 20 },
    );
  },
);

test('every kind of field is that of some piece', () => {
  const used = new Set(
    FAMILIES.flatMap(({ id, size }) =>
      localGeometry({ family: id, size: [...size] }).shapes.flatMap(({ field }) =>
        field ? [field.kind] : [],
      ),
    ),
  );
  expect([...used].sort()).toEqual(Object.keys(FIELD_KINDS).sort());
});
