import { layPieces, type PieceInHand } from '../../edit';
import { emptyCourse, type Course } from '../../course';
import { applyFix, checkCourse, type RuleId } from '..';

const ground: PieceInHand[] = [
  { family: 'slab', at: [0, -0.5, 0], size: [4, 0.5, 4] },
  { family: 'start', at: [-1, 0, 0] },
  { family: 'lantern', at: [1, 0, 0] },
];
const course = (...pieces: PieceInHand[]): Course =>
  layPieces(emptyCourse('Joints', 'free'), [...ground, ...pieces]);
const found = (of: Course, rule: RuleId) =>
  checkCourse(of).filter((finding) => finding.rule === rule);
/** Every fix done, one after the other. */
const mended = (of: Course, rule: RuleId): Course => {
  let now = of;
  for (const { fix } of found(of, rule)) if (fix) now = applyFix(now, fix);
  return now;
};

test.each<[RuleId, PieceInHand[]]>([
  ['gap', [{ family: 'slab', at: [3.03, -0.5, 0], size: [2, 0.5, 4] }]],
  [
    'pattern',
    [
      { family: 'boards', at: [8, 0, 0] },
      { family: 'boards', at: [10, 0, 0], turn: [0, 90, 0] },
    ],
  ],
  [
    'flicker',
    [
      { family: 'ashlar', at: [8, 0, 0] },
      { family: 'ashlar', at: [9, 0, 0.5], look: { material: 'moss' } },
    ],
  ],
  [
    'inside',
    [
      { family: 'ashlar', at: [8, 0, 0], size: [4, 4, 4] },
      { family: 'crate', at: [8, 1, 0] },
    ],
  ],
])('%s is found at its place, and its fix mends it', (rule, pieces) => {
  const wrong = course(...pieces);
  const findings = found(wrong, rule);
  expect(findings).toHaveLength(1);
  expect(findings[0].at).toBeDefined();
  expect(found(mended(wrong, rule), rule)).toHaveLength(0);
});

test('a track end that leads nowhere is found, one that goes on is not', () => {
  const line = course({ family: 'straight', at: [20, 0, 0] }, { family: 'bend', at: [24, 0, 0] });
  expect(found(line, 'open-end')).toHaveLength(2);
  expect(found(course({ family: 'straight', at: [2, -0.3, 0] }), 'open-end')).toHaveLength(0);
});

test('pairs without a partner, rounds without a cairn, pieces out of bounds and too heavy a scene', () => {
  expect(found(course({ family: 'portal', at: [0, 0, 1] }), 'pairs')).toHaveLength(1);
  const open = course({ family: 'gate', at: [0, 0, 1] }, { family: 'switch', at: [1, 0, 1] });
  expect(found(open, 'pairs')).toHaveLength(0);
  expect(found({ ...course(), kind: 'laps' }, 'laps')).toHaveLength(1);
  expect(found(course({ family: 'slab', at: [1999.5, 0, 0] }), 'bounds')).toHaveLength(1);
  const many = Array.from({ length: 900 }, (_, i): PieceInHand => ({
    family: 'roller',
    at: [(i % 30) * 4, 0, 10 + Math.floor(i / 30) * 4],
    params: { span: 9 },
  }));
  const [weight] = found(course(...many), 'heavy');
  expect(weight.message).toMatch(/Studded roller takes/);
});
