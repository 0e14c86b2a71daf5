import { layPieces, type PieceInHand } from '../../edit';
import { emptyCourse, type Course } from '../../course';
import { buildWorld } from '../world';
import { initialState, tick } from '../play';
import { newPath, addSegment, beginPath, cloneState, restoreCheckpoint, saveCheckpoint } from '.';

const FLOOR: PieceInHand = { family: 'slab', at: [10, -1, 0], size: [60, 1, 12] };
const course: Course = layPieces(emptyCourse('Kept', 'free'), [
  { family: 'start', at: [0, 0, 0] },
  FLOOR,
  { family: 'crumble', at: [6, 0, 4] },
  { family: 'gate', at: [8, 0, 4], params: { opens: 'link' } },
  { family: 'ashlar', at: [10, 0, 4], breaks: { touches: 3 } },
  { family: 'drift', at: [14, 0, 4], wake: { by: 'touch' } },
]);

function begun() {
  const world = buildWorld({
    ...course,
    links: [
      { id: 'l1', cue: { kind: 'timer', seconds: 1 }, effects: [{ kind: 'message', text: 'On' }] },
    ],
  });
  return { world, s: initialState(world, 2) };
}
const go = ({ world, s }: ReturnType<typeof begun>, ticks: number) => {
  for (let i = 0; i < ticks; i++) tick(world, s, { x: 0, z: 0, jump: false }, () => {});
};

test('what was kept comes back: pieces, hits, gates and movers', () => {
  const run = begun();
  go(run, 30);
  const { s } = run;
  saveCheckpoint(s);
  const then = cloneState(s);
  s.away[4] = 1;
  s.hits[4] = 2;
  s.gates[0] = s.tick;
  s.moverFrom[0] = s.tick;
  go(run, 50);
  restoreCheckpoint(s);
  expect([...s.away]).toEqual([...then.away]);
  expect([...s.hits]).toEqual([...then.hits]);
  expect([...s.gates]).toEqual([...then.gates]);
  expect([...s.moverFrom]).toEqual([...then.moverFrom]);
});

test('what was under way goes on from where it was: its ticks are moved by the time in between', () => {
  const run = begun();
  go(run, 30);
  const { s } = run;
  s.gates[0] = s.tick - 10;
  s.moverFrom[0] = s.tick - 20;
  saveCheckpoint(s);
  const kept = s.tick;
  go(run, 75);
  restoreCheckpoint(s);
  expect(s.tick - s.gates[0]).toBe(10);
  expect(s.tick - s.moverFrom[0]).toBe(20);
  expect(s.tick - kept).toBe(75);
});

test('it may be gone back to as often as one likes, and what was kept stays as it was', () => {
  const run = begun();
  go(run, 30);
  saveCheckpoint(run.s);
  for (let i = 0; i < 3; i++) {
    run.s.away[4] = 1;
    restoreCheckpoint(run.s);
    expect(run.s.away[4]).toBe(0);
  }
});

test('without one nothing is changed', () => {
  const run = begun();
  go(run, 10);
  run.s.away[4] = 1;
  restoreCheckpoint(run.s);
  expect(run.s.away[4]).toBe(1);
});

test('a way is its beginning and every leg after it, however many', () => {
  const path = newPath();
  beginPath(path, 1, 2, 3);
  expect(path.count).toBe(0);
  for (let i = 1; i <= 6; i++) addSegment(path, 1 + i, 2, 3);
  expect(path.count).toBe(6);
  expect([...path.points.slice(0, 3)]).toEqual([1, 2, 3]);
  expect([...path.points.slice(18, 21)]).toEqual([7, 2, 3]);
  beginPath(path, 0, 0, 0);
  expect(path.count).toBe(0);
});
