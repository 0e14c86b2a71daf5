import { layPieces, type PieceInHand } from '../edit';
import { emptyCourse, type Course } from '../course';
import { buildWorld, CORE_VERSION, NO_INPUT, initialState, tick, type RunEvent } from '.';

const course = (...pieces: PieceInHand[]): Course => layPieces(emptyCourse('Spikes'), pieces);

/** What happens to a runner that only stands, in so many ticks. */
function standing(told: Course, ticks: number): RunEvent[] {
  const world = buildWorld(told);
  const state = initialState(world);
  const events: RunEvent[] = [];
  for (let i = 0; i < ticks; i++) tick(world, state, NO_INPUT, (event) => events.push(event));
  return events;
}
const hurt = (events: readonly RunEvent[]) => events.filter(({ kind }) => kind === 'hazard');

/** A thin floor with something that rises on it, and a runner on another floor close below. */
const below = (family: string, params: PieceInHand['params'] = {}): Course =>
  course(
    { family: 'slab', at: [0, -0.2, 0], size: [6, 0.2, 6] },
    { family: 'start', at: [0, 0, 0] },
    { family: 'slab', at: [0, 2, 0], size: [6, 0.1, 6] },
    { family, at: [0, 2.1, 0], size: [2, 3, 2], params },
  );

test.each(['spikes', 'vent'])(
  '%s that are in hurt nobody below the floor they stand on',
  (family) => {
    expect(hurt(standing(below(family), 900))).toEqual([]);
    // Turned over they come down out of a ceiling, and then they do.
    const ceiling = course(
      { family: 'slab', at: [0, -0.2, 0], size: [6, 0.2, 6] },
      { family: 'start', at: [0, 0, 0] },
      { family, at: [0, 3, 0], size: [2, 2.5, 2], turn: [180, 0, 0] },
    );
    expect(hurt(standing(ceiling, 900)).length).toBeGreaterThan(0);
  },
);

test.each(['spikes', 'vent'])('%s hurt whoever stands on them, once they come out', (family) => {
  const on = course(
    { family: 'slab', at: [0, -0.2, 0], size: [6, 0.2, 6] },
    { family: 'start', at: [0, 0, 0] },
    { family, at: [0, 0, 0], size: [2, 0.9, 2], params: { period: 4 } },
  );
  const [first] = hurt(standing(on, 900));
  // Out they are half way through their time, and in when it begins.
  expect(first.time).toBeGreaterThan(0.2);
  expect(first.time).toBeLessThan(2);
});

test('spikes on a floor that moves are in below that floor, wherever it is', () => {
  const carried = course(
    { family: 'slab', at: [0, -0.2, 0], size: [6, 0.2, 6] },
    { family: 'start', at: [0, 0, 0] },
    {
      family: 'slab',
      at: [0, 6, 0],
      size: [4, 0.1, 4],
      motion: [{ kind: 'path', points: [[0, -4, 0]], speed: 2 }],
    },
    { family: 'spikes', at: [0, 6.1, 0], size: [2, 3, 2] },
  );
  const host = carried.pieces[2].id;
  const attached = {
    ...carried,
    pieces: carried.pieces.map((piece, i) => (i === 3 ? { ...piece, attach: host } : piece)),
  };
  expect(hurt(standing(attached, 1200))).toEqual([]);
});

test('the simulation is the fifth: runs of the fourth are not replayed', () => {
  expect(CORE_VERSION).toBe(5);
});
