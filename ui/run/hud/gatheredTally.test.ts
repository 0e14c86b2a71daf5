import { layPieces, type PieceInHand } from '@/core/edit';
import { emptyCourse } from '@/core/course';
import { buildWorld } from '@/core/run';
import { gatheredTally } from './gatheredTally';

const world = (...pieces: PieceInHand[]) =>
  buildWorld(
    layPieces(emptyCourse('Tally', 'free'), [
      { family: 'slab', at: [0, -0.5, 0], size: [30, 0.5, 6] },
      { family: 'start', at: [-6, 0, 0] },
      ...[0, 1, 2, 3].map((x): PieceInHand => ({ family: 'shell', at: [x, 1, 0] })),
      ...pieces,
    ]),
  );
const lantern = (params?: Record<string, number | string>): PieceInHand => ({
  family: 'lantern',
  at: [6, 0, 0],
  params,
});
const state = { gatheredCount: 2, legGathered: 0, leg: 0 };

test('where no goal asks for any it is told of all there are', () => {
  expect(gatheredTally(world(lantern()), state)).toEqual({ count: 2, of: 4 });
});

test('a goal that opens for three is told of, not the four that are laid', () => {
  expect(gatheredTally(world(lantern({ opens: 'count', amount: 3 })), state)).toEqual({
    count: 2,
    of: 3,
  });
});

test('of several goals the one that asks least', () => {
  const [two, four] = [2, 4].map((amount) => lantern({ opens: 'count', amount }));
  expect(gatheredTally(world(two, { ...four, at: [9, 0, 0] }), state).of).toBe(2);
});
