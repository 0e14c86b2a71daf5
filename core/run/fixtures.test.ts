import { layPieces } from '../edit';
import { courseOf, floor, right, Trial } from './testing';
import { hiddenPieces, NO_INPUT } from '.';

test('ice lets go, mud holds back, a springboard throws as high as it says', () => {
  const after = (family: string, ticks: number) => {
    const course = courseOf(floor(-2, 1), { family, at: [11, -0.3, 0], size: [20, 0.3, 6] });
    return new Trial(course).go(right, 60).go(right, ticks).state;
  };
  expect(after('mud', 240).vx).toBeCloseTo(6 * 0.45, 1);
  const slide = new Trial(
    courseOf(floor(-2, 1), { family: 'ice', at: [11, -0.3, 0], size: [20, 0.3, 6] }),
  );
  slide.go(right, 100).go(NO_INPUT, 60);
  expect(slide.state.vx).toBeGreaterThan(3);
  const spring = new Trial(
    courseOf(floor(-2, 0.9), { family: 'spring', at: [1.7, -0.4, 0], params: { height: 3 } }),
  );
  let top = 0;
  spring.go(right, 200, (s) => {
    top = Math.max(top, s.y);
    return s.x > 6;
  });
  expect(spring.happened('bounce').length).toBeGreaterThan(0);
  expect(top).toBeGreaterThan(2.9);
  expect(top).toBeLessThan(3.3);
});

test('a crumbling slab gives way some time after it was stood on, and is back later', () => {
  const course = courseOf(floor(-2, 1), {
    family: 'crumble',
    at: [2, -0.4, 0],
    params: { hold: 0.7, back: 1 },
  });
  const trial = new Trial(course);
  trial.go(right, 200, (s) => s.x > 2);
  const since = trial.state.tick;
  trial.go(NO_INPUT, 400, (s) => s.y < -0.5);
  expect(hiddenPieces(trial.world, trial.state)).toEqual(new Set(['p3']));
  expect(trial.state.tick - since).toBeLessThan(130);
  trial.go(NO_INPUT, 200);
  expect(trial.happened('fall')).toHaveLength(1);
  expect(hiddenPieces(trial.world, trial.state).size).toBe(0);
});

test('a gate is shut until the switch of its number is touched', () => {
  const gate = { family: 'gate', at: [4, 0, 0] as [number, number, number] };
  const shut = new Trial(courseOf(floor(-2, 10), gate)).go(right, 300);
  expect(shut.state.x).toBeLessThan(4);
  const lever = { family: 'switch', at: [2, 0, 0] as [number, number, number] };
  const open = new Trial(courseOf(floor(-2, 10), gate, lever)).go(right, 200);
  expect(open.happened('switch')).toHaveLength(1);
  expect(open.state.x).toBeGreaterThan(6);
  const other = new Trial(courseOf(floor(-2, 10), gate, { ...lever, params: { pair: 2 } })).go(
    right,
    300,
  );
  expect(other.state.x).toBeLessThan(4);
});

test('a portal carries to its partner, not straight back, and turns the way with it', () => {
  const course = layPieces({ ...courseOf(floor(-2, 6)), space: 'free' as const }, [
    { family: 'slab', at: [30, -1, 0], size: [20, 1, 20] },
    { family: 'portal', at: [3, 0, 0] },
    { family: 'portal', at: [30, 0, 0], turn: [0, 90, 0] },
  ]);
  const trial = new Trial(course).go(right, 100, (s) => s.x > 20);
  expect(trial.happened('portal')).toHaveLength(1);
  expect(trial.state.vz).toBeLessThan(-3);
  trial.go(NO_INPUT, 200);
  expect(trial.happened('portal')).toHaveLength(1);
  expect(trial.state.x).toBeGreaterThan(25);
});

test('rounds count with every cairn between, holding counts the time within reach', () => {
  const there = courseOf(
    floor(-2, 12),
    { family: 'cairn', at: [6, 0, 0] },
    { family: 'lantern', at: [10, 0, 0] },
  );
  const laps = new Trial({ ...there, kind: 'laps', laps: 2 }).go(right, 300);
  expect(laps.happened('lap')).toHaveLength(1);
  laps.go({ x: -16, z: 0, jump: false }, 200, (s) => s.x < 4).go(right, 300);
  expect(laps.happened('goal')).toHaveLength(1);
  const hold = new Trial({ ...there, kind: 'hold', hold: 2 })
    .go(right, 400, (s) => s.x > 9.6)
    .go(NO_INPUT, 400);
  expect(hold.state.finish).toBeGreaterThan(0);
  const short = new Trial({ ...there, kind: 'hold', hold: 60 })
    .go(right, 400, (s) => s.x > 9.6)
    .go(NO_INPUT, 400);
  expect(short.state.finish).toBe(-1);
});

test('collision switched off lets the runner through, for a piece and for a family', () => {
  const wall = { family: 'ashlar', at: [3, 0, 0] as [number, number, number] };
  const x = (course: ReturnType<typeof courseOf>) => new Trial(course).go(right, 200).state.x;
  expect(x(courseOf(floor(-2, 12), wall))).toBeLessThan(3);
  expect(x(courseOf(floor(-2, 12), { ...wall, collision: 'off' }))).toBeGreaterThan(6);
  expect(x({ ...courseOf(floor(-2, 12), wall), collides: { ashlar: false } })).toBeGreaterThan(6);
  const hut = { family: 'hut', at: [4, 0, 0] as [number, number, number] };
  expect(x(courseOf(floor(-2, 12), hut))).toBeGreaterThan(6);
  expect(x({ ...courseOf(floor(-2, 12), hut), collides: { hut: true } })).toBeLessThan(4);
});
