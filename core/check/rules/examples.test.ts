import { addLink, layPieces, newCue, newEffect, type PieceInHand } from '../../edit';
import { emptyCourse, type Course } from '../../course';
import { applyFix, checkCourse, RULES, type Finding, type RuleId } from '..';

const begun = (...pieces: PieceInHand[]): Course =>
  layPieces(emptyCourse('Example', 'free'), [
    { family: 'slab', at: [0, -0.5, 0], size: [30, 0.5, 30] },
    { family: 'start', at: [-3, 0, 0] },
    { family: 'lantern', at: [3, 0, 0] },
    ...pieces,
  ]);
const without = (family: string): Course => {
  const course = begun();
  return { ...course, pieces: course.pieces.filter((piece) => piece.family !== family) };
};
const crate: PieceInHand = { family: 'crate', at: [3, 0, 6] };
const cairn = (number: number, x: number): PieceInHand => ({
  family: 'cairn',
  at: [x, 0, 6],
  params: { number },
});
const block = (x: number, y: number, z: number): PieceInHand => ({
  family: 'block',
  at: [x, y, z],
  size: [2, 1, 2],
});
/** Laid as a file may have it: laying itself refuses some of these. */
const asRead = (piece: PieceInHand): Course => {
  const course = begun();
  return { ...course, pieces: [...course.pieces, { ...piece, id: 'x1' }] } as Course;
};
const breaks = (id: string, other: string) => ({
  cue: { kind: 'broken' as const, pieces: [id] },
  effects: [
    { kind: 'show' as const, pieces: [id] },
    { kind: 'break' as const, pieces: [other] },
  ],
});

/** For each rule a course it has something to say of. A rule without one does not compile. */
const EXAMPLES: Record<RuleId, () => Course> = {
  family: () => asRead({ family: 'rocket', at: [0, 0, 0] }),
  setting: () => asRead({ family: 'drift', at: [9, 0, 0], params: { period: -1 } }),
  start: () => without('start'),
  starts: () => asRead({ family: 'start', at: [0, 0, 3] }),
  goal: () => without('lantern'),
  name: () => ({ ...begun(), name: 'A' }),
  'start-air': () => without('slab'),
  speed: () => begun({ family: 'drift', at: [9, 0, 0], params: { span: 60, period: 0.5 } }),
  'cairn-numbers': () => begun(cairn(1, 2), cairn(1, 4)),
  twins: () => begun(crate, crate),
  'below-tide': () => ({ ...begun(), tide: 3 }),
  laps: () => ({ ...begun(), kind: 'laps' }),
  pairs: () => begun({ family: 'portal', at: [0, 0, 5] }),
  lock: () =>
    begun(
      { family: 'gate', at: [3, 0, 5], params: { opens: 'count', amount: 3 } },
      { family: 'shell', at: [2, 1, 0] },
    ),
  path: () => begun({ ...crate, motion: [{ kind: 'path', points: [[0, 0, 0]] }] }),
  range: () => begun({ ...crate, wake: { by: 'near', range: 3 } }),
  attach: () => begun({ ...crate, attach: 'p99' }),
  loose: () => begun({ ...crate, loose: true, motion: [{ kind: 'bob', height: 1, period: 2 }] }),
  thrower: () =>
    begun({ ...crate, thrower: { what: 'rocket', size: 1, interval: 1, speed: 5, life: 3 } }),
  link: () => addLink(begun(), { cue: newCue('touched'), effects: [newEffect('win')] }).course,
  'link-loop': () => {
    const wall: PieceInHand = { family: 'ashlar', at: [8, 0, 4], breaks: { touches: 1 } };
    const walls = begun(wall, { ...wall, at: [8, 0, -4] });
    return addLink(addLink(walls, breaks('p4', 'p5')).course, breaks('p5', 'p4')).course;
  },
  misfit: () =>
    addLink(begun(crate), { cue: newCue('start'), effects: [newEffect('start', ['p4'])] }).course,
  'cairn-gap': () => begun(cairn(1, 2), cairn(3, 4)),
  leg: () => ({ ...begun(), legs: [{}, {}] }),
  'cairn-leg': () => ({
    ...layPieces(emptyCourse('Example', 'free'), [
      { family: 'slab', at: [20, -0.5, 0], size: [60, 0.5, 30] },
      { family: 'start', at: [0, 0, 0] },
      { family: 'lantern', at: [10, 0, 0] },
      { family: 'start', at: [20, 0, 0], params: { leg: 2 } },
      { family: 'lantern', at: [30, 0, 0], params: { leg: 2 } },
      { family: 'cairn', at: [25, 0, 0], params: { number: 1 } },
    ]),
    legs: [{}, {}],
  }),
  unlike: () =>
    begun({
      ...crate,
      shape: { size: [1, 1, 1], parts: [{ kind: 'ball', at: [3, 3, 0], radius: 0.3 }] },
    }),
  'heavy-run': () =>
    begun(
      ...Array.from({ length: 101 }, (_, i): PieceInHand => ({
        family: 'cask',
        at: [(i % 10) - 8, 0.1 + Math.floor(i / 10), 9],
        loose: true,
      })),
    ),
  crowd: () =>
    begun(
      ...Array.from({ length: 260 }, (_, i): PieceInHand => ({
        family: 'shell',
        at: [8.1 + (i % 16) / 8, 0, 8.1 + Math.floor(i / 16) / 8],
      })),
    ),
  gap: () =>
    layPieces(emptyCourse('Example', 'free'), [
      { family: 'slab', at: [0, -0.5, 0], size: [4, 0.5, 4] },
      { family: 'start', at: [-1, 0, 0] },
      { family: 'lantern', at: [1, 0, 0] },
      { family: 'slab', at: [3.03, -0.5, 0], size: [2, 0.5, 4] },
    ]),
  'open-end': () => begun({ family: 'straight', at: [40, 0, 0] }),
  pattern: () =>
    begun(
      { family: 'boards', at: [20, 0, 0] },
      { family: 'boards', at: [22, 0, 0], turn: [0, 90, 0] },
    ),
  flicker: () =>
    begun(
      { family: 'ashlar', at: [8, 0, 0] },
      { family: 'ashlar', at: [9, 0, 0.5], look: { material: 'moss' } },
    ),
  inside: () =>
    begun({ ...crate, at: [8, 1, 8] }, { family: 'ashlar', at: [8, 0, 8], size: [4, 4, 4] }),
  bounds: () => begun({ family: 'pine', at: [1999.5, 0, 0] }),
  heavy: () =>
    begun(
      ...Array.from({ length: 151 }, (_, i): PieceInHand => ({
        family: 'lamp',
        at: [(i % 15) - 7, 0, Math.floor(i / 15) - 14],
      })),
    ),
  overlap: () => begun(block(20, 0, 0), block(21.5, 0, 0)),
  // Without marks there is no way that it would have to lie by.
  seam: () =>
    layPieces(emptyCourse('Example', 'free'), [
      { ...block(0, 0, 0), size: [4, 2, 4] },
      { ...block(4.03, 0.1, 1), size: [4, 2, 4] },
    ]),
  'off-lane': () => ({
    ...begun({ family: 'shell', at: [2, 1, 1.5] }),
    space: 'side-on',
  }),
  step: () =>
    begun({ family: 'straight', at: [20, 0, 0] }, { family: 'straight', at: [24, 0.1, 0] }),
};

const of = (course: Course, rule: string): Finding[] =>
  checkCourse(course).filter((finding) => finding.rule === rule);

test('a course of the same ground without anything wrong has none of them', () => {
  expect(checkCourse(begun())).toEqual([]);
});

test.each(RULES.map(({ id }) => [id] as const))('%s has an example it is told of', (rule) => {
  const findings = of(EXAMPLES[rule](), rule);
  expect(findings.length).toBeGreaterThan(0);
  for (const { message } of findings) {
    expect(message).toMatch(/^[A-Z“\d].*[.!]$/);
    expect(message).not.toMatch(/undefined|NaN|\d\.\d{3}/);
  }
});

/** What a finding is of: rounds of mending are over when none is left that was there before. */
const named = ({ rule, piece }: Finding) => `${rule} ${piece ?? ''}`;
const errors = (course: Course) =>
  checkCourse(course)
    .filter(({ weight }) => weight === 'error')
    .map(named);

test.each(RULES.map(({ id }) => [id] as const))(
  'what %s mends is mended, and no error comes of it',
  (rule) => {
    const course = EXAMPLES[rule]();
    const before = new Set(errors(course));
    for (const finding of of(course, rule)) {
      if (!finding.fix) continue;
      const mended = applyFix(course, finding.fix);
      expect(of(mended, rule).map(named).length).toBeLessThan(of(course, rule).length);
      expect(errors(mended).filter((error) => !before.has(error))).toEqual([]);
    }
  },
);
