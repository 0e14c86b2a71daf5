import { emptyCourse } from '@/core/course';
import { layPieces } from '@/core/edit';
import { buildWorld, courseHash, initialState, stateKeys, type Run } from '@/core/run';
import type { KeptMoment } from '../../state/moments';
import type { KnownRun } from './runsKnown';
import { atCheckpoint, beginPlaces, momentName } from './beginPlaces';

const course = layPieces(emptyCourse('Trial'), [
  { family: 'slab', at: [5, -0.5, 0], size: [40, 0.5, 2] },
  { family: 'start', at: [0, 0, 0] },
  { family: 'cairn', at: [8, 0, 0], params: { number: 2 } },
  { family: 'cairn', at: [4, 0, 0], params: { number: 1 }, name: 'Pan cairn' },
]);
const known = (parts: KnownRun['parts'], name: string): KnownRun => ({
  key: name,
  name,
  run: { course: courseHash(course), inputs: [[600, 16, 0, 0]], claim: 5 } as unknown as Run,
  finished: false,
  time: 5,
  falls: 0,
  ends: [],
  at: 1,
  parts,
});
const way = [
  [0, 0, 0],
  [20, 0, 0],
] as const;
const world = buildWorld(course);
const moment: KeptMoment = {
  at: 7,
  name: 'After Pan cairn, 3.0 s',
  tick: 360,
  place: [5, 0, 0],
  run: null,
  keys: stateKeys(world),
  state: initialState(world),
};

test('a checkpoint is begun at as the last run that came by it was there', () => {
  const came = known([{ key: 'p4 0', name: 'Cairn 1', at: 1.5, time: 1.5 }], 'came');
  const never = known([], 'never');
  const how = atCheckpoint('p4', [4, 0, 0], [never, came]);
  expect(how).toMatchObject({ kind: 'moment', run: { inputs: [[181, 16, 0, 0]] } });
  expect(atCheckpoint('p3', [8, 0, 0], [never, came])).toEqual({ kind: 'place', at: [8, 0, 0] });
});

test('places come in their order: the spot, the cairns by number, the moments', () => {
  const dropped: number[] = [];
  const places = beginPlaces({ course, runs: [], moments: [moment], spot: [1, 0, 0], way }, (at) =>
    dropped.push(at),
  );
  expect(places.map(({ name }) => name)).toEqual([
    'The spot in view',
    'Pan cairn',
    'Cairn 2',
    'After Pan cairn, 3.0 s',
  ]);
  expect(places.every(({ beginning }) => beginning !== undefined)).toBe(true);
  places[3].onDrop!();
  expect(dropped).toEqual([7]);
  expect(
    beginPlaces({ course, runs: [], moments: [], spot: null, way }, () => {}).map(({ key }) => key),
  ).toEqual(['p4', 'p3']);
});

test('a moment that an edit made impossible stays with its reason', () => {
  const walled = layPieces(course, [{ family: 'block', at: [0, 0, 0], size: [2, 2, 2] }]);
  const [, , gone] = beginPlaces(
    { course: walled, runs: [], moments: [moment], spot: null, way },
    () => {},
  );
  expect(gone.beginning).toBeUndefined();
  expect(gone.note).toBe('It would stand inside a piece now.');
});

test('a moment is called by the mark passed last and when it was', () => {
  expect(momentName(course, 'p4', 12.345)).toBe('After Pan cairn, 12.3 s');
  expect(momentName(course, 'p3', 2)).toBe('After cairn 2, 2.0 s');
  expect(momentName(course, null, 0.5)).toBe('After the start, 0.5 s');
});
