import fc from 'fast-check';
import { emptyCourse, type Course } from '@/core/course';
import { layPieces, type SnapSettings } from '@/core/edit';
import type { Vec3 } from '@/core/geometry';
import type { HandleDrag, MoveDrag } from './drag';
import { cornerStep, moveStep, pullStep, turnStep } from './dragStep';
import type { Handle } from './handles';

jest.mock('../../../parts', () => jest.requireActual<object>('../../../parts/format'));

const course = (): Course =>
  layPieces(emptyCourse('Trial', 'free'), [
    { family: 'ashlar', at: [0, 0, 0], size: [2, 1, 2] },
    { family: 'ashlar', at: [10, 0, 0], size: [2, 1, 2] },
  ]);
const CHOICE = new Set(['p1']);
const SETTINGS: SnapSettings = {
  steps: [0.5, 0, 0.5],
  frame: { origin: [0, 0, 0], turn: 0 },
  ends: true,
  corners: false,
  surface: false,
  reach: 1,
};
const WAYS = { ownAxes: false, bothSides: false };
const moving = (base: Course): MoveDrag => ({
  kind: 'move',
  base,
  others: { ...base, pieces: base.pieces.slice(1) },
  from: [0, 0, 0],
  held: 'p1',
});
const handle = (change: Partial<Handle>): Handle => ({
  mode: 'move',
  axis: 0,
  side: 1,
  along: [1, 0, 0],
  centre: [0, 0.5, 0],
  at: [2, 0.5, 0],
  pixel: [0, 0],
  ...change,
});
const pulling = (base: Course, change: Partial<Handle>, from = 0): HandleDrag => ({
  kind: 'handle',
  base,
  handle: handle(change),
  from,
});

test('carried pieces go by whole steps of the grid, and what is read is how far', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -5, max: 5, noNaN: true }),
      fc.double({ min: -5, max: 5, noNaN: true }),
      (x, z) => {
        const base = course();
        const { edit } = moveStep(moving(base), CHOICE, [x, 0, z], SETTINGS);
        const [moved, other] = edit(base).pieces;
        expect(Math.abs(moved.at[0] - x)).toBeLessThanOrEqual(0.25 + 1e-9);
        expect(moved.at[0] * 2).toBeCloseTo(Math.round(moved.at[0] * 2), 9);
        expect(moved.at[2] * 2).toBeCloseTo(Math.round(moved.at[2] * 2), 9);
        expect(other).toBe(base.pieces[1]);
      },
    ),
  );
  const { measure } = moveStep(moving(course()), CHOICE, [1.6, 0, -0.9], SETTINGS);
  expect(measure?.words).toBe('x 1.5 · z −1 m');
  expect(moveStep(moving(course()), CHOICE, [0.1, 0, 0], SETTINGS).measure?.words).toBe('0 m');
});

test('a corner that takes hold says so, and the piece lies against it', () => {
  const base = course();
  const settings = { ...SETTINGS, ends: false, corners: true, steps: [0, 0, 0] as Vec3 };
  const { edit, measure } = moveStep(moving(base), CHOICE, [7.8, 0, 0.1], settings);
  expect(measure?.words).toBe('on corner');
  expect(edit(base).pieces[0].at).toEqual([8, 0, 0]);
});

test('on a turned grid the way goes along the grid’s axes', () => {
  const base = course();
  const turned = { ...SETTINGS, frame: { origin: [0, 0, 0] as Vec3, turn: 45 } };
  const { edit } = moveStep(moving(base), CHOICE, [1, 0, 1.1], turned);
  const [x, , z] = edit(base).pieces[0].at;
  const [u, v] = [(x + z) / Math.SQRT2, (x - z) / Math.SQRT2].map((w) => w * 2);
  expect(u).toBeCloseTo(Math.round(u), 5);
  expect(v).toBeCloseTo(Math.round(v), 5);
});

test('a turn goes by its steps, the short way round', () => {
  const base = course();
  const turning = pulling(base, { mode: 'turn', axis: 1, along: [0, 1, 0] }, 170);
  const { edit, measure } = turnStep(turning, CHOICE, -160, { turn: 15, along: [0, 0, 0] }, WAYS);
  expect(measure?.words).toBe('30°');
  expect(edit(base).pieces[0].turn?.[1]).toBeCloseTo(30);
  const none = turnStep(turning, CHOICE, 172, { turn: 15, along: [0, 0, 0] }, WAYS);
  expect(none.edit(base)).toBe(base);
});

test('without steps a turn goes by degrees and a handle by centimetres', () => {
  const base = course();
  const free = { turn: 0, along: [0, 0, 0] };
  const turning = pulling(base, { mode: 'turn', axis: 1, along: [0, 1, 0] });
  expect(turnStep(turning, CHOICE, 12.4, free, WAYS).measure?.words).toBe('12°');
  const moved = pullStep(pulling(base, {}), CHOICE, 1.2345, free, WAYS).edit(base);
  expect(moved.pieces[0].at[0]).toBeCloseTo(1.23, 9);
});

test('a side is stretched alone or with the one over against it', () => {
  const base = course();
  const steps = { turn: 0, along: [0.5, 0.5, 0.5] };
  const side = pulling(base, { mode: 'stretch' });
  const [one] = pullStep(side, CHOICE, 1.1, steps, WAYS).edit(base).pieces;
  expect(one.size).toEqual([3, 1, 2]);
  expect(one.at[0]).toBeCloseTo(0.5);
  const [both] = pullStep(side, CHOICE, 1.1, steps, { ...WAYS, bothSides: true }).edit(base).pieces;
  expect(both.size).toEqual([4, 1, 2]);
  expect(both.at[0]).toBeCloseTo(0);
});

test('an edge pulled down slopes the top', () => {
  const base = course();
  const edge = pulling(base, { mode: 'slope', edge: '+x', axis: 1, along: [0, 1, 0] });
  const { edit } = pullStep(edge, CHOICE, -0.5, { turn: 0, along: [0, 0.25, 0] }, WAYS);
  expect(edit(base).pieces[0].params).toMatchObject({ b: -0.5, c: -0.5 });
});

test('a corner with none to go onto stays where it was', () => {
  const base = course();
  const drag = { kind: 'corner', base, own: [1, 1, 1] as Vec3 } as const;
  expect(cornerStep(drag, CHOICE, null)).toMatchObject({ measure: null });
  expect(cornerStep(drag, CHOICE, null).edit(base)).toBe(base);
  const onto = cornerStep(drag, CHOICE, [9, 1, 1]).edit(base);
  expect(onto.pieces[0].at[0]).toBeCloseTo(8);
});
