import { layPieces, NEW_THROWER, newCue, type PieceInHand } from '../edit';
import { emptyCourse, type Course, type Cue } from '../course';
import { buildWorld, initialState, tick, type RunEvent } from './index';

const FLOOR: PieceInHand = { family: 'slab', at: [10, -1, 0], size: [60, 1, 6] };
const onwards = { x: 16, z: 0, jump: false };

/** Ticks at which a link with a cue acts while the runner goes straight on. */
function acts(pieces: PieceInHand[], cueOf: (course: Course) => Cue, more: Partial<Course> = {}) {
  const laid = { ...layPieces(emptyCourse('Cues'), [FLOOR, ...pieces]), ...more };
  const course: Course = {
    ...laid,
    links: [{ id: 'l1', cue: cueOf(laid), effects: [{ kind: 'message', text: 'Now' }] }],
  };
  const world = buildWorld(course);
  const state = initialState(world, 7);
  const told: RunEvent[] = [];
  for (let i = 0; i < 1200; i++) tick(world, state, onwards, (event) => told.push(event));
  const said = told.filter(({ kind }) => kind === 'message').map((event) => event.tick);
  return { said, told, state };
}

const START: PieceInHand = { family: 'start', at: [0, 0, 0] };

test('worth, falls and rounds give their cue once, as soon as there are so many', () => {
  const shells = [3, 5, 7].map((x): PieceInHand => ({ family: 'pearl', at: [x, 0, 0] }));
  const worth = acts([START, ...shells], () => ({ ...newCue('worth'), count: 10 }));
  expect(worth.said).toHaveLength(1);
  const pearls = worth.told.filter(({ kind }) => kind === 'pickup');
  expect(worth.said[0]).toBe(pearls[1].tick);

  const thorns: PieceInHand = { family: 'thorns', at: [4, 0, 0], size: [2, 0.7, 6] };
  const fallen = acts([START, thorns], () => ({ ...newCue('fallen'), count: 2 }));
  const hits = fallen.told.filter(({ kind }) => kind === 'hazard');
  expect(hits.length).toBeGreaterThan(2);
  // It is heard of in the tick after.
  expect(fallen.said).toEqual([hits[1].tick + 1]);

  const portals: PieceInHand[] = [
    { family: 'lantern', at: [6, 0, 0] },
    { family: 'portal', at: [9, 0, 0] },
    { family: 'portal', at: [-3, 0, 0] },
  ];
  const round = acts([START, ...portals], () => ({ ...newCue('round'), count: 1 }), {
    kind: 'laps',
    laps: 3,
  });
  const laps = round.told.filter(({ kind }) => kind === 'lap');
  expect(laps.length).toBeGreaterThan(0);
  expect(round.said).toHaveLength(1);
  expect(round.said[0] - laps[0].tick).toBeLessThanOrEqual(1);
});

test('what is left of a limit gives its cue at that moment, and none without a limit', () => {
  const cue = () => ({ ...newCue('time-left'), seconds: 3 });
  expect(acts([START], cue, { limit: 8 }).said).toEqual([5 * 120]);
  expect(acts([START], cue).said).toEqual([]);
});

test('all of several have to be touched, each at any time', () => {
  const plates = [3, 6, 9].map((x): PieceInHand => ({ family: 'switch', at: [x, 0, 0] }));
  const ids = (course: Course) =>
    course.pieces.filter(({ family }) => family === 'switch').map(({ id }) => id);
  const any = acts([START, ...plates], (course) => newCue('touched', ids(course)));
  const all = acts([START, ...plates], (course) => ({
    ...newCue('touched', ids(course)),
    all: true,
  }));
  // Before the runner falls off the far end and comes by again.
  const first = (said: number[]) => said.filter((at) => at < 700);
  expect(first(any.said)).toHaveLength(3);
  expect(first(all.said)).toEqual([first(any.said)[2]]);
});

test('throws that may come late come within their time, each with a speed of its own', () => {
  const thrower = {
    ...NEW_THROWER,
    interval: 1,
    late: 0.5,
    swerve: 0.4,
    speed: 5,
    most: 12,
    life: 1,
  };
  const course = layPieces(emptyCourse('Thrower'), [
    FLOOR,
    START,
    { family: 'block', at: [-6, 0, 0], thrower },
  ]);
  const thrown = (seed: number) => {
    const world = buildWorld(course);
    const state = initialState(world, seed);
    const ticks: number[] = [];
    const speeds: number[] = [];
    const before = new Set<number>();
    for (let i = 0; i < 2400; i++) {
      tick(world, state, { x: 0, z: 0, jump: false }, () => {});
      for (let at = 0; at < state.projectiles.length; at += 11) {
        const born = state.projectiles[at];
        if (born !== state.tick || before.has(born)) continue;
        before.add(born);
        ticks.push(born);
        speeds.push(
          Math.hypot(
            state.projectiles[at + 7],
            state.projectiles[at + 8],
            state.projectiles[at + 9],
          ),
        );
      }
    }
    return { ticks, speeds };
  };
  const { ticks, speeds } = thrown(3);
  expect(ticks.length).toBeGreaterThanOrEqual(19);
  const late = ticks.map((at) => at % 120);
  expect(Math.max(...late)).toBeLessThanOrEqual(60);
  expect(new Set(late).size).toBeGreaterThan(5);
  for (const speed of speeds) {
    expect(speed).toBeGreaterThan(5 * 0.6 - 1e-9);
    expect(speed).toBeLessThan(5 * 1.4 + 1e-9);
  }
  expect(thrown(3)).toEqual({ ticks, speeds });
  expect(thrown(4).ticks).not.toEqual(ticks);
});
