import { addLink, layPieces, newCue, newEffect, type PieceInHand } from '../../edit';
import { emptyCourse, type Course, type Link } from '../../course';
import { applyFix, checkCourse } from '..';

const course = (...pieces: PieceInHand[]): Course =>
  layPieces(emptyCourse('Trial', 'free'), [
    { family: 'start', at: [0, 0, 0] },
    { family: 'slab', at: [0, -1, 0], size: [30, 1, 30] },
    { family: 'lantern', at: [6, 0, 0] },
    ...pieces,
  ]);
const rules = (c: Course) => checkCourse(c).map(({ rule }) => rule);
const crate: PieceInHand = { family: 'crate', at: [3, 1, 3] };
const wall: PieceInHand = { family: 'ashlar', at: [8, 0, 4], breaks: { touches: 1 } };

test('a sound course has no findings of tuning', () => {
  expect(rules(course(crate))).toEqual([]);
});

test('paths without a length or out of bounds are found, and mended', () => {
  const still = course({ ...crate, motion: [{ kind: 'path', points: [[0, 0, 0]] }] });
  const [finding] = checkCourse(still).filter(({ rule }) => rule === 'path');
  expect(finding.message).toContain('no length');
  expect(rules(applyFix(still, finding.fix!))).toEqual([]);
  expect(rules(course({ ...crate, motion: [{ kind: 'path', points: [[1999, 0, 0]] }] }))).toContain(
    'path',
  );
});

test('ranges that nothing wakes, attachments to nothing and strange throwers are found', () => {
  expect(rules(course({ ...crate, wake: { by: 'near', range: 3 } }))).toEqual(['range']);
  const lost = course({ ...crate, attach: 'p99' });
  const [finding] = checkCourse(lost).filter(({ rule }) => rule === 'attach');
  expect(rules(applyFix(lost, finding.fix!))).toEqual([]);
  const thrower = { what: 'rocket', size: 1, interval: 1, speed: 5, life: 3 };
  expect(rules(course({ ...crate, thrower }))).toEqual(['thrower']);
  expect(rules(course({ ...crate, thrower: { ...thrower, what: 'boulder', life: 60 } }))).toEqual([
    'thrower',
  ]);
});

test('links that name nothing, or bring each other about, are found and can be taken away', () => {
  const bare = addLink(course(), {
    cue: newCue('touched'),
    effects: [newEffect('message')],
  }).course;
  const [finding] = checkCourse(bare).filter(({ rule }) => rule === 'link');
  expect(rules(applyFix(bare, finding.fix!))).toEqual([]);
  const walls = course(wall, { ...wall, at: [8, 0, -4] });
  const ring = (from: string, to: string): Pick<Link, 'cue' | 'effects'> => ({
    cue: { kind: 'broken', pieces: [from] },
    effects: [
      { kind: 'show', pieces: [from] },
      { kind: 'break', pieces: [to] },
    ],
  });
  const one = addLink(walls, ring('p4', 'p5')).course;
  expect(rules(one)).toEqual([]);
  expect(rules(addLink(one, ring('p5', 'p4')).course)).toEqual(['link-loop']);
});

test('gaps in the order of cairns and legs without ends are found', () => {
  const cairn = (number: number): PieceInHand => ({
    family: 'cairn',
    at: [number, 0, 6],
    params: { number },
  });
  expect(rules(course(cairn(1), cairn(3)))).toEqual(['cairn-gap']);
  expect(rules({ ...course(cairn(1), cairn(3)), order: 'free' })).toEqual([]);
  expect(rules({ ...course(), legs: [{}, {}] })).toEqual(['leg']);
});

test('a drawn shape far from its picture is named', () => {
  const shape = {
    size: [1, 1, 1] as [number, number, number],
    parts: [{ kind: 'ball' as const, at: [3, 3, 0] as [number, number, number], radius: 0.3 }],
  };
  expect(rules(course({ ...crate, shape }))).toEqual(['unlike']);
});

test('what is loose and cannot be, or touches nothing, is found and mended', () => {
  expect(rules(course({ ...crate, loose: true }))).toEqual([]);
  const moving = course({ ...crate, loose: true, motion: [{ kind: 'bob', height: 1, period: 2 }] });
  const [finding] = checkCourse(moving).filter(({ rule }) => rule === 'loose');
  expect(finding.message).toContain('moves by itself');
  expect(rules(applyFix(moving, finding.fix!))).toEqual([]);
  const untouched = course({ ...crate, loose: true, collision: 'off', role: 'solid' });
  expect(rules(untouched)).toContain('loose');
  const many = course(
    ...Array.from({ length: 101 }, (_, i): PieceInHand => ({
      family: 'cask',
      at: [(i % 10) - 8, 0.1 + Math.floor(i / 10), 9],
      loose: true,
    })),
  );
  expect(rules(many)).toContain('heavy-run');
});
