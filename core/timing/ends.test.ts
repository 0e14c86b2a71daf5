import fc from 'fast-check';
import type { Vec3 } from '../geometry';
import { courseOf, floor } from '../run/testing';
import { replay, type Run } from '../run';
import { runOf } from './testing';
import { endsOf, endsTogether, type RunEnd } from '.';

test('a fall is told where it began, a hit where it was and by what, and a try that is left where it was', () => {
  const course = courseOf(
    floor(-5, 6),
    { family: 'thorns', at: [3, 0, 0] },
    {
      family: 'lantern',
      at: [30, 0, 0],
    },
  );
  const hit = replay(course, runOf(course, [120, 16, 0, 0]));
  const [thorns, left] = endsOf(hit);
  expect(thorns).toMatchObject({ why: 'hazard', piece: 'p3' });
  expect(thorns.at[0]).toBeGreaterThan(1.5);
  expect(thorns.at[0]).toBeLessThan(3.5);
  expect(left).toMatchObject({ why: 'left' });
});

test('who walks off an edge fell from there, who jumps short from the top of the jump', () => {
  const course = courseOf(floor(-5, 6), { family: 'lantern', at: [30, 0, 0] });
  const fallOf = (...inputs: Run['inputs']) =>
    endsOf(replay(course, runOf(course, ...inputs))).find(({ why }) => why === 'fall')!;
  const walked = fallOf([400, 16, 0, 0]);
  expect(walked.at[0]).toBeGreaterThan(5.9);
  expect(walked.at[0]).toBeLessThan(6.6);
  expect(walked.at[1]).toBeGreaterThan(-0.05);
  const jumped = fallOf([110, 16, 0, 0], [40, 16, 0, 1], [300, 16, 0, 0]);
  expect(jumped.at[1]).toBeGreaterThan(0.8);
});

test('a run that gets there without anything has no ends', () => {
  const course = courseOf(floor(-5, 20), { family: 'lantern', at: [8, 0, 0] });
  expect(endsOf(replay(course, runOf(course, [400, 16, 0, 0])))).toEqual([]);
});

const end = (x: number, piece?: string): RunEnd => ({
  why: 'fall',
  at: [x, 0, 0],
  ...(piece ? { piece } : {}),
});

test('what one piece did is told at it, however far apart', () => {
  const middleOf = (piece: string): Vec3 | undefined => (piece === 'p1' ? [50, 1, 0] : undefined);
  const told = endsTogether([end(0, 'p1'), end(9, 'p1'), end(20), end(30, 'gone')], middleOf);
  expect(told).toEqual([
    { at: [50, 1, 0], count: 2, part: 1 },
    { at: [20, 0, 0], count: 1, part: 0.5 },
    { at: [30, 0, 0], count: 1, part: 0.5 },
  ]);
});

test('every end is told once, wherever it was, near where it was', () => {
  const metres = fc.double({ min: -40, max: 40, noNaN: true });
  fc.assert(
    fc.property(fc.array(metres, { maxLength: 60 }), (places) => {
      const told = endsTogether(
        places.map((x) => end(x)),
        () => undefined,
      );
      expect(told.reduce((sum, { count }) => sum + count, 0)).toBe(places.length);
      for (const x of places) expect(told.some(({ at }) => Math.abs(at[0] - x) <= 2)).toBe(true);
      expect(told.map(({ count }) => count)).toEqual(
        told.map(({ count }) => count).sort((a, b) => b - a),
      );
    }),
  );
});
