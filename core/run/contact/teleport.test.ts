import fc from 'fast-check';
import { layPieces, type PieceInHand } from '../../edit';
import { emptyCourse, RUNNERS, type Course } from '../../course';
import { Trial } from '../testing';
import { buildWorld, NO_INPUT, spotAt, initialState } from '..';
import { teleport } from './teleport';
import { signedDistance } from './cast';

const course = (kind: Course['runner']['kind'], ...pieces: PieceInHand[]): Course =>
  layPieces({ ...emptyCourse('Put', 'free'), runner: { kind }, tide: -60 }, [
    { family: 'start', at: [0, 0, 0] },
    ...pieces,
  ]);
/** How deep the runner stands in the solid it is deepest in, m. */
function depthOf(of: Course): number {
  const world = buildWorld(of);
  const s = initialState(world);
  return Math.max(
    0,
    ...world.colliders
      .filter(({ role }) => role === 'solid')
      .map((c) => -signedDistance(world, s, world.bodies[s.size], c, s).distance),
  );
}
const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });

test('on any slope, and in any hollow of two, every runner stands clear', () => {
  const plane = fc.record({ lean: number(-45, 45), turn: number(0, 360) });
  fc.assert(
    fc.property(fc.constantFrom(...RUNNERS), plane, fc.option(plane), (kind, first, second) => {
      const slab = ({ lean, turn }: { lean: number; turn: number }): PieceInHand => {
        const a = (lean * Math.PI) / 180;
        return {
          family: 'slab',
          at: [0, -1 / Math.cos(a), 0],
          turn: [0, turn, lean],
          size: [30, 1, 30],
        };
      };
      return depthOf(course(kind, slab(first), ...(second ? [slab(second)] : []))) < 1e-6;
    }),
    { numRuns: 300, seed: 4 },
  );
});

test('what lies deep over the place stays: the runner is not thrown out through a wall', () => {
  const buried = course('hopper', { family: 'slab', at: [0, -4, 0], size: [12, 9, 12] });
  const world = buildWorld(buried);
  const s = initialState(world);
  expect([s.x, s.y, s.z]).toEqual([0, 0.001, 0]);
});

test('on a side-on stage it is put within its plane', () => {
  const leaning = layPieces({ ...emptyCourse('Flat'), runner: { kind: 'roller' } }, [
    { family: 'start', at: [0, 0, 0] },
    { family: 'slab', at: [0, -1, 0], turn: [20, 0, 10], size: [20, 1, 20] },
  ]);
  const s = initialState(buildWorld(leaning));
  expect(s.z).toBe(0);
});

test('out of a portal, and carried by a link, it stands clear of a slope too', () => {
  const slope: PieceInHand = {
    family: 'slab',
    at: [30, -1 / Math.cos((20 * Math.PI) / 180), 0],
    turn: [0, 0, 20],
    size: [20, 1, 10],
  };
  const floor: PieceInHand = { family: 'slab', at: [0, -1, 0], size: [12, 1, 6] };
  const by = (pieces: PieceInHand[], links?: Course['links']) => {
    const of = { ...course('roller', floor, slope, ...pieces), links };
    const trial = new Trial(of).go({ x: 16, z: 0, jump: false }, 200, ({ x }) => x > 20);
    const { world, state: s } = trial;
    const c = world.colliders.find(({ piece }) => world.pieces[piece].id === 'p3')!;
    return signedDistance(world, s, world.bodies[0], c, s).distance;
  };
  const portals: PieceInHand[] = [
    { family: 'portal', at: [3, 0, 0], params: { speed: 'stops' } },
    { family: 'portal', at: [30, 0, 0] },
  ];
  expect(by(portals)).toBeGreaterThan(-1e-6);
  const post: PieceInHand = { family: 'buoy', at: [30, 0, 0] };
  const carry: Course['links'] = [
    { id: 'l1', cue: { kind: 'start' }, effects: [{ kind: 'carry', pieces: ['p4'] }] },
  ];
  expect(by([post], carry)).toBeGreaterThan(-1e-6);
});

test('put where it was, it stands as it stood', () => {
  const of = course('cart', { family: 'slab', at: [0, -1, 0], size: [12, 1, 12] });
  const trial = new Trial(of).go(NO_INPUT, 30);
  const { world, state } = trial;
  const before = [state.x, state.z, state.heading];
  teleport(world, state, spotAt([0, 0, 0], 90));
  expect([state.x, state.z, state.heading]).toEqual([before[0], before[1], 90]);
  expect([state.fx, state.fz].map((v) => Math.round(v * 1e9) / 1e9 + 0)).toEqual([0, -1]);
});
