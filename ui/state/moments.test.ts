import { emptyCourse } from '@/core/course';
import { layPieces } from '@/core/edit';
import { buildWorld, courseHash, initialState, type Run, stateKeys } from '@/core/run';
import {
  dropMoment,
  fromMoment,
  keepMoment,
  MOST_MOMENTS,
  momentsOf,
  type KeptMoment,
} from './moments';

const mockKept = new Map<string, unknown>();
let mockForbidden = false;
jest.mock('idb-keyval', () => ({
  createStore: () => null,
  get: jest.fn(async (key: string) => {
    if (mockForbidden) throw new Error('no storage');
    return mockKept.get(key);
  }),
  set: jest.fn(async (key: string, value: unknown) => {
    if (mockForbidden) throw new Error('no storage');
    mockKept.set(key, value);
  }),
}));

const course = layPieces(emptyCourse('Trial'), [
  { family: 'slab', at: [5, -0.5, 0], size: [20, 0.5, 2] },
  { family: 'start', at: [0, 0, 0] },
]);
const world = buildWorld(course);
const moment = (at: number, tick = at): KeptMoment => ({
  at,
  name: `Moment ${at}`,
  tick,
  place: [0, 0, 0],
  run: { course: courseHash(course) } as Run,
  keys: stateKeys(world),
  state: initialState(world),
});

beforeEach(() => {
  mockKept.clear();
  mockForbidden = false;
});

test('moments are told in the order they come on the way, course by course', async () => {
  await keepMoment('a', moment(1, 300));
  await keepMoment('a', moment(2, 100));
  await keepMoment('b', moment(3));
  expect((await momentsOf('a')).map(({ at }) => at)).toEqual([2, 1]);
  await dropMoment('a', 2);
  expect((await momentsOf('a')).map(({ at }) => at)).toEqual([1]);
  expect(await momentsOf('b')).toHaveLength(1);
});

test('past nine none is kept, and none of the nine is lost', async () => {
  for (let i = 0; i < MOST_MOMENTS; i++) expect(await keepMoment('a', moment(i))).toBe(true);
  expect(await keepMoment('a', moment(99))).toBe(false);
  expect((await momentsOf('a')).map(({ at }) => at)).not.toContain(99);
});

test('where the browser forbids storage there are none, and keeping says so', async () => {
  mockForbidden = true;
  expect(await momentsOf('a')).toEqual([]);
  await expect(keepMoment('a', moment(1))).rejects.toThrow('no storage');
});

test('on the same course a moment is played again; on another edition it goes on as it stood', () => {
  const kept = moment(1);
  expect(fromMoment(course, kept)).toMatchObject({ kind: 'moment', run: kept.run });
  const longer = layPieces(course, [{ family: 'slab', at: [30, -0.5, 0] }]);
  expect(fromMoment(longer, kept)).toMatchObject({ kind: 'state' });
  const walled = layPieces(course, [{ family: 'block', at: [0, 0, 0], size: [2, 2, 2] }]);
  expect(fromMoment(walled, kept)).toBe('inside');
  // One that cannot be played again goes on as it stood, also on the same course.
  expect(fromMoment(course, { ...kept, run: null })).toMatchObject({ kind: 'state' });
});
