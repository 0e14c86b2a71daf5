import fc from 'fast-check';
import { layPieces } from '../edit';
import { emptyCourse, type Course, type RunnerKind } from '../course';
import type { Vec3 } from '../geometry';
import { buildWorld, initialState, tick } from '../run';
import { paceTime, strokesNeeded } from './pace';

const by = (kind: RunnerKind, settings = {}): Course => ({
  ...emptyCourse('Pace', 'free'),
  runner: { kind, settings },
});
const straight = (length: number, rise = 0): Vec3[] => [
  [0, 0, 0],
  [length, rise, 0],
];

test.each(['hopper', 'roller', 'cart'] as const)(
  'a %s takes as long on the flat as the simulation has it',
  (kind) => {
    for (const length of [3, 12, 60]) {
      const course = layPieces(by(kind), [
        { family: 'slab', at: [60, -1, 0], size: [150, 1, 6] },
        { family: 'start', at: [0, 0, 0] },
      ]);
      const world = buildWorld(course);
      const state = initialState(world);
      const ahead = kind === 'cart' ? { x: 0, z: -16, jump: false } : { x: 16, z: 0, jump: false };
      while (state.x < length && state.tick < 6000) tick(world, state, ahead, () => {});
      const took = state.tick / 120;
      const expected = paceTime(course, [straight(length)]);
      expect(Math.abs(expected - took)).toBeLessThan(0.12 * took + 0.1);
    }
  },
);

test('what rolls is slower uphill, faster downhill, and slowed by bends', () => {
  const cart = by('cart');
  const flat = paceTime(cart, [straight(60)]);
  expect(paceTime(cart, [straight(60, 12)])).toBeGreaterThan(flat * 1.1);
  expect(paceTime(cart, [straight(60, -20)])).toBeLessThan(flat);
  const bent: Vec3[] = Array.from({ length: 60 }, (_, i) => {
    const angle = (i / 59) * 2 * Math.PI;
    return [(60 / 2 / Math.PI) * Math.cos(angle), 0, (60 / 2 / Math.PI) * Math.sin(angle)];
  });
  expect(paceTime(by('cart', { grip: 0.3 }), [bent])).toBeGreaterThan(flat * 1.3);
});

test('a hopper takes its time over steps it has to jump, and over falls', () => {
  const hopper = by('hopper');
  const stair: Vec3[] = [];
  for (let i = 0; i < 10; i++) stair.push([i, i * 1.4, 0], [i + 0.05, (i + 1) * 1.4, 0]);
  expect(paceTime(hopper, [stair])).toBeGreaterThan(2 * paceTime(hopper, [straight(9)]));
  const fall: Vec3[] = [
    [0, 0, 0],
    [0.1, -20, 0],
  ];
  expect(paceTime(hopper, [fall])).toBeGreaterThan(Math.sqrt((2 * 20) / 30) * 0.9);
});

test('what comes and goes on the way is waited for', () => {
  const way = [straight(20)];
  const bare = by('hopper');
  const ferry = layPieces(bare, [{ family: 'spikes', at: [10, 0, 0], params: { period: 8 } }]);
  const aside = layPieces(bare, [{ family: 'spikes', at: [10, 0, 9], params: { period: 8 } }]);
  expect(paceTime(ferry, way) - paceTime(bare, way)).toBeCloseTo(1, 6);
  expect(paceTime(aside, way)).toBe(paceTime(bare, way));
});

test('for any way and runner the time is finite, grows with rounds, and is no less than top speed allows', () => {
  const point = fc.tuple(
    fc.double({ min: -80, max: 80, noNaN: true }),
    fc.double({ min: -10, max: 10, noNaN: true }),
    fc.double({ min: -80, max: 80, noNaN: true }),
  );
  fc.assert(
    fc.property(
      fc.constantFrom<RunnerKind>('hopper', 'roller', 'cart', 'flick'),
      fc.array(point, { minLength: 0, maxLength: 12 }),
      (kind, way) => {
        const course = by(kind);
        const once = paceTime(course, [way as Vec3[]]);
        expect(Number.isFinite(once)).toBe(true);
        expect(once).toBeGreaterThanOrEqual(0);
        expect(paceTime(course, [way as Vec3[]], 3)).toBeGreaterThanOrEqual(once - 1e-9);
        if (kind !== 'hopper') return;
        const flat = way.reduce(
          (sum, p, i) =>
            i === 0 ? 0 : sum + Math.hypot(p[0] - way[i - 1][0], p[2] - way[i - 1][2]),
          0,
        );
        expect(once).toBeGreaterThanOrEqual(flat / 6 - 1e-9);
      },
    ),
    {
      examples: [
        [
          'cart',
          [
            [0, 0, 0],
            [0, 0.25, Number.MIN_VALUE],
            [-Number.MIN_VALUE, 0, 0],
          ],
        ],
      ],
    },
  );
});

test('strokes are counted leg by leg, as far as the hardest one slides, and of who is struck alone', () => {
  const course = { ...by('flick', { strength: 10, friction: 0.5 }), gravity: 10 };
  // 10² / (2 · 0.5 · 10) = 10 m.
  expect(strokesNeeded(course, [straight(9.9)])).toBe(1);
  expect(strokesNeeded(course, [straight(10.1)])).toBe(2);
  expect(strokesNeeded(course, [straight(4), straight(4)])).toBe(2);
  expect(strokesNeeded(by('hopper'), [straight(10)])).toBeNull();
});
