import fc from 'fast-check';
import { cases } from '../../deep.testing';
import {
  emptyCourse,
  modelId,
  packMesh,
  type Course,
  type Link,
  type Piece,
  type RunnerKind,
} from '../../course';
import { applyPose } from '../../motion';
import { buildWorld, poseMover, initialState, tick, type Input } from '../../run';
import { anyMotion } from '../../run/fuzz.testing';
import {
  changePieces,
  keepSymmetry,
  layKit,
  layPieces,
  mirrorCopies,
  mirrorPiece,
  readKit,
  ringCopies,
  setSymmetry,
  stepCopies,
  toKit,
  type PieceInHand,
} from '..';
import { pairOf } from '../course/ties';

const at: PieceInHand['at'] = [0, 0, 0];
const link = (cue: Link['cue'], ...effects: Link['effects']): Link => ({ id: 'l1', cue, effects });

/** A lift with a crate on it, a pair of portals, a switch with its gate, and a link between two of them. */
const bit = (): Course => ({
  ...layPieces(emptyCourse('Bit', 'free'), [
    { family: 'start', at: [0, 0, -20] },
    { family: 'slab', at: [4, 0, 2], motion: [{ kind: 'path', points: [[0, 2, 3]], speed: 2 }] },
    { family: 'crate', at: [4, 1, 2], attach: 'p2' },
    { family: 'portal', at: [6, 0, 0], params: { pair: 1 } },
    { family: 'portal', at: [9, 0, 3], params: { pair: 1 } },
    { family: 'switch', at: [2, 0, 5], params: { pair: 2 } },
    { family: 'gate', at: [7, 0, 6], params: { pair: 2 } },
  ]),
  links: [
    link(
      { kind: 'touched', pieces: ['p3'] },
      { kind: 'hide', pieces: ['p2'] },
      { kind: 'push', by: [3, 1, 2] },
    ),
  ],
});
const bitIds = new Set(['p2', 'p3', 'p4', 'p5', 'p6', 'p7']);
const pieceOf = (course: Course, id: string) => course.pieces.find((piece) => piece.id === id)!;

/** What every copy of the bit has to hold. */
function expectTied(course: Course, copies: readonly string[], by: Link['effects'][number]['by']) {
  const [slab, crate, portal, other, lever, gate] = copies.map((id) => pieceOf(course, id));
  expect(crate.attach).toBe(slab.id);
  expect(pairOf(portal)).toBe(pairOf(other));
  expect(pairOf(portal)).not.toBe(1);
  expect(pairOf(lever)).toBe(pairOf(gate));
  expect([1, 2, pairOf(portal)]).not.toContain(pairOf(lever));
  const copied = course.links!.find(({ cue }) => cue.pieces?.[0] === crate.id)!;
  expect(copied.effects[0].pieces).toEqual([slab.id]);
  copied.effects[1].by!.forEach((v, i) => expect(v).toBeCloseTo(by![i], 6));
}

test('copies are tied among themselves: riders, numbers that act together, links', () => {
  const stepped = stepCopies(bit(), bitIds, [0, 0, 30], 2);
  expectTied(stepped.course, stepped.copies.slice(0, 6), [3, 1, 2]);
  expectTied(stepped.course, stepped.copies.slice(6), [3, 1, 2]);
  const pairs = stepped.course.pieces.map(pairOf).filter((pair) => pair !== null);
  expect(new Set(pairs).size).toBe(6);
  const ring = ringCopies(bit(), bitIds, [0, 0], 4);
  // A quarter turn to the left brings x to -z.
  expectTied(ring.course, ring.copies.slice(0, 6), [2, 1, -3]);
  const mirrored = mirrorCopies(bit(), bitIds, { axis: 'z', at: 0 });
  expectTied(mirrored.course, mirrored.copies, [3, 1, -2]);
  const motion = pieceOf(mirrored.course, mirrored.copies[0]).motion![0];
  expect(motion.kind === 'path' && motion.points[0][2]).toBeCloseTo(-3, 9);
});

test('what is copied without its host or its partner stays tied to them', () => {
  const { course, copies } = stepCopies(bit(), new Set(['p3', 'p6']), [0, 0, 30], 1);
  expect(pieceOf(course, copies[0]).attach).toBe('p2');
  expect(pairOf(pieceOf(course, copies[1]))).toBe(2);
  expect(course.links).toHaveLength(1);
});

test('more links than a course may have are refused in words', () => {
  const course = bit();
  const many = Array.from({ length: 500 }, (_, i) => ({ ...course.links![0], id: `l${i}` }));
  expect(() => stepCopies({ ...course, links: many }, bitIds, [0, 0, 30], 1)).toThrow(/500 links/);
});

test('built in symmetry, images go along with images, and have numbers and links of their own', () => {
  const axis = setSymmetry(layPieces(emptyCourse('Even', 'free'), []), {
    kind: 'mirror-z',
    at: [0, 0],
  });
  const edit = (course: Course, change: (course: Course) => Course) =>
    keepSymmetry(course, change(course));
  let course = edit(axis, (c) => layPieces(c, [{ family: 'slab', at: [4, 0, 6] }]));
  const slab = course.pieces[0];
  course = edit(course, (c) => layPieces(c, [{ family: 'crate', at: [4, 1, 6], attach: slab.id }]));
  const imageOf = (piece: Piece) =>
    course.pieces.find(({ twin, id }) => twin?.link === piece.twin?.link && id !== piece.id)!;
  const find = (family: string) => course.pieces.filter((piece) => piece.family === family);
  expect(imageOf(find('crate')[0]).attach).toBe(imageOf(find('slab')[0]).id);
  course = edit(course, (c) => layPieces(c, [{ family: 'portal', at: [9, 0, 2] }]));
  course = edit(course, (c) => layPieces(c, [{ family: 'portal', at: [9, 0, 9] }]));
  const portals = find('portal');
  const pairs = portals.map((piece) => `${pairOf(piece)} ${piece.twin?.image}`).sort();
  expect(pairs).toEqual(['1 0', '1 0', '2 1', '2 1']);
  // Moved afterwards, an image keeps its own.
  const moved = new Set([portals[0].id]);
  course = edit(course, (c) =>
    changePieces(c, moved, (piece) => {
      piece.at = [9, 0, 3];
    }),
  );
  expect(find('portal').map(pairOf).sort()).toEqual([1, 1, 2, 2]);
  const [crate] = find('crate');
  course = edit(course, (c) => ({
    ...c,
    links: [link({ kind: 'touched', pieces: [crate.id] }, { kind: 'push', by: [1, 0, 2] })],
  }));
  expect(course.links).toHaveLength(2);
  expect(course.links![1].cue.pieces).toEqual([imageOf(crate).id]);
  expect(course.links![1].effects[0].by).toEqual([1, 0, -2]);
});

test('a kit keeps its links, models and how its families touch, and names nothing it did not bring', () => {
  const meshes = [1, 2].map((x) => packMesh([0, 0, 0, x, 0, 0, 0, x, 0], [0, 1, 2]));
  const rock = modelId(meshes[0]);
  const own: Course = {
    ...bit(),
    models: {
      [rock]: { name: 'Rock', ...meshes[0] },
      [modelId(meshes[1])]: { name: 'Boat', ...meshes[1] },
    },
    shapes: { crate: { size: [1, 1, 1], parts: [{ kind: 'ball', at: [0, 0.5, 0], radius: 0.4 }] } },
    allowances: { families: { slab: { by: 'cm', value: 3 } } },
    collides: { gate: false },
  };
  const withModel = layPieces(own, [
    { family: 'model', at: [2, 0, 2], params: { model: rock } },
    { family: 'block', at: [3, 0, 3], attach: 'p1' },
  ]);
  const kit = readKit(
    JSON.stringify(toKit(withModel, new Set([...bitIds, 'p8', 'p9']), 'All of it')),
  );
  expect(Object.keys(kit.models!)).toEqual([rock]);
  expect(kit.links).toHaveLength(1);
  expect(kit.pieces.find(({ family }) => family === 'block')!.attach).toBeUndefined();
  const host = layPieces(emptyCourse('Host', 'free'), [
    { family: 'start', at },
    { family: 'portal', at: [50, 0, 0], params: { pair: 1 } },
    { family: 'portal', at: [60, 0, 0], params: { pair: 1 } },
  ]);
  const { course, laid } = layKit(host, kit, [0, 0, 40]);
  expectTied(course, laid.slice(0, 6), [3, 1, 2]);
  expect(course.models![rock].name).toBe('Rock');
  const [slab, crate, , , , gate] = laid.map((id) => pieceOf(course, id));
  expect(crate.shape!.parts[0].kind).toBe('ball');
  expect(slab.allowance).toEqual({ by: 'cm', value: 3 });
  expect(gate.collision).toBe('off');
  // A part of it alone brings only what is whole.
  const part = toKit(withModel, new Set(['p3', 'p4']), 'Part');
  expect(part.links).toBeUndefined();
  expect(part.pieces[0].attach).toBeUndefined();
});

/** A course mirrored whole, over x through its middle: z becomes -z. */
function mirroredWhole(course: Course): Course {
  const plane = { axis: 'z', at: 0 } as const;
  return {
    ...course,
    pieces: course.pieces.map((piece) => mirrorPiece(piece, plane, course.shapes)),
    links: course.links?.map((one) => ({
      ...one,
      effects: one.effects.map((effect) =>
        effect.by
          ? { ...effect, by: [effect.by[0], effect.by[1], -effect.by[2]] as never }
          : effect,
      ),
    })),
  };
}

const tenth = (least: number, most: number) =>
  fc.integer({ min: least * 10, max: most * 10 }).map((n) => n / 10);
const laid = fc.record({
  family: fc.constantFrom(
    'slab',
    'ramp',
    'crate',
    'ashlar',
    'bend',
    'drift',
    'loop',
    'wind',
    'thorns',
  ),
  at: fc.tuple(tenth(2, 14), tenth(-1, 2), tenth(-6, 6)),
  turn: fc.tuple(fc.constant(0), fc.constantFrom(0, 30, 90, 180, 255), fc.constantFrom(0, 0, 15)),
  motion: fc.oneof(fc.constant(undefined), fc.array(anyMotion, { minLength: 1, maxLength: 1 })),
});

test('the mirrored course run with mirrored input is the mirrored run', () => {
  let exact = 0;
  fc.assert(
    fc.property(
      fc.array(laid, { minLength: 2, maxLength: 7 }),
      fc.constantFrom<RunnerKind>('hopper', 'roller', 'cart', 'flick'),
      fc.array(
        fc.tuple(
          fc.integer({ min: -16, max: 16 }),
          fc.integer({ min: -16, max: 16 }),
          fc.boolean(),
        ),
        {
          minLength: 2,
          maxLength: 6,
        },
      ),
      (pieces, kind, inputs) => {
        const course: Course = {
          ...layPieces({ ...emptyCourse('One', 'free'), runner: { kind } }, [
            { family: 'start', at: [0, 0, 0] },
            { family: 'slab', at: [4, -1, 0], size: [16, 1, 14] },
            ...(pieces as PieceInHand[]),
          ]),
          tide: -20,
        };
        const [one, other] = [course, mirroredWhole(course)].map((of) => {
          const world = buildWorld(of);
          return { world, state: initialState(world, 5) };
        });
        let before = 0;
        for (let i = 0; i < 240; i++) {
          const [x, z, jump] = inputs[Math.floor(i / 40) % inputs.length];
          const input: Input = { x, z, jump };
          tick(one.world, one.state, input, () => {});
          // A cart is steered by x and driven by z; the others go where both say.
          const mirrored = kind === 'cart' ? { x: -x, z, jump } : { x, z: -z, jump };
          tick(other.world, other.state, mirrored, () => {});
          const [a, b] = [one.state, other.state];
          const off = Math.max(Math.abs(a.x - b.x), Math.abs(a.y - b.y), Math.abs(a.z + b.z));
          // Last bits grow from touch to touch; what is mirrored wrongly differs at once.
          if (before < 1e-9 && off > 1e-6) return false;
          if (off > 1e-9) return true;
          before = off;
          for (let m = 0; m < one.world.movers.length; m++) {
            const [p, q] = [one, other].map(({ world, state }) => {
              const { pose } = poseMover(world.movers, state, m);
              return applyPose(pose, world.pieces[world.movers[m].piece].at);
            });
            if (Math.hypot(p[0] - q[0], p[1] - q[1], p[2] + q[2]) > 1e-6) return false;
          }
          exact++;
        }
        return true;
      },
    ),
    { numRuns: cases(150), seed: 8 },
  );
  // Most of it is the same to the last bits.
  expect(exact).toBeGreaterThan(cases(150) * 120);
});
