import fc from 'fast-check';
import { cases } from '../deep.testing';
import { emptyCourse, type Course } from '../course';
import { layPieces, type PieceInHand } from '../edit';
import { anyRun } from '../run/fuzz.testing';
import { applyFix, checkCourse, fixAll, findingKey } from '.';

const course = (...pieces: PieceInHand[]) =>
  layPieces(emptyCourse('Trial', 'free'), [
    { family: 'start', at: [0, 0, 0] },
    { family: 'lantern', at: [2, 0, 0] },
    ...pieces,
  ]);
const notices = (of: Course) => checkCourse(of).filter(({ weight }) => weight === 'notice');
const FLOORS = [
  [0, 0],
  [4, 0],
  [0, 4],
  [4, 4],
].map(([x, z]): PieceInHand => ({ family: 'slab', at: [x, -0.3, z], size: [4, 0.3, 4] }));
const ring = (y: number): PieceInHand[] =>
  [-1, 1, 3, 5].flatMap((k): PieceInHand[] => [
    { family: 'panel', at: [k, y, -2] },
    { family: 'panel', at: [k, y, 6] },
    { family: 'panel', at: [-2, y, k], turn: [0, 90, 0] },
    { family: 'panel', at: [6, y, k], turn: [0, 90, 0] },
  ]);

test.each([0, -0.3])(
  'walls round four floors, %s m from their tops, are as they should be',
  (y) => {
    expect(notices(course(...FLOORS, ...ring(y)))).toEqual([]);
  },
);

test('stones laid without snapping, near and in each other, are as they should be', () => {
  const stones = [0, 0.9, 2.05, 3.3].map((x, i): PieceInHand => ({
    family: 'boulder',
    at: [x, 0, 5 + 0.13 * i],
    turn: [0, 31 * i, 0],
    size: [1, 0.8, 1],
  }));
  expect(notices(course(...FLOORS, ...stones))).toEqual([]);
});

test('a raise that would only flicker elsewhere is not offered', () => {
  const [mossy, icy]: PieceInHand['look'][] = [{ material: 'moss' }, { material: 'ice' }];
  const block: PieceInHand = { family: 'ashlar', at: [8, 0, 0], size: [2, 1, 2] };
  // The second is in one plane with the first, and a raise brings it into one plane with the third.
  const climbing = course(
    block,
    { ...block, at: [9, 0, 0.5], look: mossy },
    { ...block, at: [9, 0.01, -0.5], look: icy },
  );
  const found = notices(climbing).filter(({ rule }) => rule === 'flicker');
  expect(found.length).toBeGreaterThan(0);
  for (const { fix } of found) {
    if (fix) expect(notices(applyFix(climbing, fix)).length).toBeLessThan(notices(climbing).length);
  }
  expect(found.some(({ fix }) => !fix)).toBe(true);
});

test('whatever stands in a course, checking it throws nothing, and a fix that is offered takes its finding away and brings no other', () => {
  let mended = 0;
  fc.assert(
    fc.property(anyRun, ({ course: any }) => {
      const before = checkCourse(any);
      for (const finding of before) {
        if (!finding.fix || !finding.piece) continue;
        const after = checkCourse(applyFix(any, finding.fix));
        expect(after.map(findingKey)).not.toContain(findingKey(finding));
        expect(after.length).toBeLessThan(before.length);
        mended++;
      }
    }),
    { numRuns: cases(25), seed: 7, endOnFailure: true },
  );
  expect(mended).toBeGreaterThan(cases(5));
});

test('all of a rule are mended one after the other, none of them twice', () => {
  const block: PieceInHand = { family: 'block', at: [0, -2, 3], size: [4, 2, 4] };
  const row = course(block, { ...block, at: [4.02, -2, 3] }, { ...block, at: [8.04, -2, 3] });
  const found = checkCourse(row).filter(({ rule }) => rule === 'gap');
  expect(found).toHaveLength(2);
  expect(checkCourse(fixAll(row, found, 'gap')).filter(({ rule }) => rule === 'gap')).toEqual([]);
});

test('of more faults in a row than are told each has its fix, and all of them are mended', () => {
  const row = course(
    ...Array.from({ length: 15 }, (_, i): PieceInHand => ({
      family: 'block',
      at: [i * 1.02 - 6, -2, 0],
      size: [1, 2, 4],
    })),
  );
  const gaps = (of: Course) => checkCourse(of).filter(({ rule }) => rule === 'gap');
  const found = gaps(row);
  expect(found).toHaveLength(12);
  expect(found.every(({ fix }) => fix)).toBe(true);
  const mended = fixAll(row, found, 'gap');
  expect(gaps(fixAll(mended, gaps(mended), 'gap'))).toEqual([]);
});
