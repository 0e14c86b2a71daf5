import type { Course, Link } from '../course';
import type { PieceInHand } from '../edit';
import { hiddenPieces, NO_INPUT, tideLine } from '.';
import { courseOf, floor, right, Trial } from './testing';

type Told = Pick<Link, 'cue' | 'effects' | 'delay' | 'chance' | 'once' | 'rest'>;
/** A side-on floor with pieces p3, p4 … on it, and links between them. */
const linked = (pieces: readonly PieceInHand[], ...links: Told[]): Course => ({
  ...courseOf(floor(-4, 30), ...pieces),
  links: links.map((link, i) => ({ id: `l${i + 1}`, ...link })),
});
const region = (x: number): PieceInHand => ({ family: 'touch', at: [x, 0, 0], size: [2, 2, 2] });
const wall = (x: number): PieceInHand => ({ family: 'ashlar', at: [x, 0, 0], size: [1, 3, 4] });
const when = (kind: Link['cue']['kind'], cue: object, ...effects: Link['effects']): Told => ({
  cue: { kind, ...cue },
  effects,
});

test('a region touched opens what was shut, a delay later', () => {
  const link = when('touched', { pieces: ['p3'] }, { kind: 'open', pieces: ['p4'] });
  const at = (delay: number) => {
    const trial = new Trial(linked([region(2), wall(8)], { ...link, delay }));
    return trial.go(right, 400, () => hiddenPieces(trial.world, trial.state).has('p4')).state.tick;
  };
  expect(at(0)).toBeLessThan(40);
  expect(at(1) - at(0)).toBe(120);
  expect(new Trial(linked([region(2), wall(8)], link)).go(right, 300).state.x).toBeGreaterThan(12);
  expect(new Trial(linked([region(2), wall(8)])).go(right, 300).state.x).toBeLessThan(8);
});

test('left, and stood in for a time, are told apart from touched', () => {
  const says = (kind: 'left' | 'stood', trial: (t: Trial) => Trial) =>
    trial(
      new Trial(
        linked(
          [region(2)],
          when(kind, { pieces: ['p3'], seconds: 1 }, { kind: 'message', text: 'now' }),
        ),
      ),
    ).happened('message');
  expect(says('left', (t) => t.go(right, 40))).toHaveLength(0);
  expect(says('left', (t) => t.go(right, 120))).toHaveLength(1);
  expect(says('stood', (t) => t.go(right, 120))).toHaveLength(0);
  const stood = says('stood', (t) => t.go(right, 40).go(NO_INPUT, 240));
  expect(stood.map(({ text }) => text)).toEqual(['now']);
});

test('gathering, breaking and checkpoints give their cues', () => {
  const shell = (x: number): PieceInHand => ({ family: 'shell', at: [x, 0.2, 0] });
  const trial = new Trial(
    linked(
      [
        shell(2),
        shell(4),
        { family: 'cairn', at: [6, 0, 0] },
        { ...wall(9), breaks: { speed: 2 } },
      ],
      when('gathered', { count: 2 }, { kind: 'points', value: 50 }),
      when('all-gathered', { pieces: ['p3', 'p4'] }, { kind: 'message', text: 'all' }),
      when('checkpoint', {}, { kind: 'speed', value: 0.5, seconds: 0.2 }),
      when('broken', { pieces: ['p6'] }, { kind: 'win' }),
    ),
  ).go(right, 400);
  expect(trial.state.worth).toBe(52);
  expect(trial.happened('message')).toHaveLength(1);
  expect(trial.happened('break').map(({ piece }) => piece)).toEqual(['p6']);
  expect(trial.state.finish).toBeGreaterThan(1);
});

test('the beat and a timer come round, once or with a rest where that is said', () => {
  const course = (change: Partial<Link>, cue = { kind: 'beat' as const, count: 2 }) => ({
    ...linked([], { ...when(cue.kind, cue, { kind: 'points', value: 1 }), ...change }),
    tempo: { beats: 120, offset: 0.25 },
  });
  const worth = (c: Course) => new Trial(c).go(NO_INPUT, 600).state.worth;
  // Two beats last a second: at 0.25, 1.25, 2.25, 3.25 and 4.25 s.
  expect(worth(course({}))).toBe(5);
  expect(worth(course({ once: true }))).toBe(1);
  expect(worth(course({ rest: 1.5 }))).toBe(3);
  const timer = { kind: 'timer', seconds: 0.5 } as never;
  expect(worth(course({}, timer))).toBe(10);
});

test('chance is the same for the same seed and different for others', () => {
  const course = linked([], {
    ...when('timer', { seconds: 0.1 }, { kind: 'points', value: 1 }),
    chance: 0.5,
  });
  const worth = (seed: number) => new Trial(course, seed).go(NO_INPUT, 1200).state.worth;
  const [a, b, c] = [worth(1), worth(1), worth(2)];
  expect(a).toBe(b);
  expect(c).not.toBe(a);
  expect(a).toBeGreaterThan(25);
  expect(a).toBeLessThan(75);
});

test('movers are stopped and started where they stand; what was absent is shown', () => {
  const drift: PieceInHand = { family: 'drift', at: [20, 4, 0], params: { ease: 'even' } };
  const course = linked(
    [region(2), region(6), drift, { ...wall(10), absent: true }],
    when('touched', { pieces: ['p3'] }, { kind: 'stop', pieces: ['p5'] }),
    when(
      'touched',
      { pieces: ['p4'] },
      { kind: 'start', pieces: ['p5'] },
      { kind: 'show', pieces: ['p6'] },
    ),
  );
  const trial = new Trial(course);
  expect(hiddenPieces(trial.world, trial.state).has('p6')).toBe(true);
  trial.go(right, 300, (s) => s.x > 2.5);
  const held = trial.state.moverAt[0];
  expect(held).toBeGreaterThan(0);
  trial.go(right, 300, (s) => s.moverAt[0] < 0);
  const own = trial.state.tick - trial.state.moverFrom[0];
  expect(own).toBe(held);
  expect(trial.go(right, 300).state.x).toBeLessThan(10);
});

test('the runner is carried, pushed, held still, sent back; the tide rises and drowns', () => {
  const does = (...effects: Link['effects']) =>
    new Trial(
      linked(
        [region(3), { family: 'cairn', at: [-3, 0, 0] }],
        when('touched', { pieces: ['p3'] }, ...effects),
      ),
    );
  const carried = does({ kind: 'carry', pieces: ['p4'] }).go(right, 60, (s) => s.x < -2);
  expect(carried.state.x).toBeCloseTo(-3, 0);
  let top = 0;
  does({ kind: 'push', by: [0, 12, 0] }).go(
    right,
    120,
    ({ y }) => ((top = Math.max(top, y)), false),
  );
  expect(top).toBeCloseTo((12 * 12) / 44, 0);
  const still = does({ kind: 'still', seconds: 1 }).go(right, 130).state.x;
  expect(still).toBeLessThan(4);
  expect(does({ kind: 'back' }).go(right, 80).happened('respawn')).toHaveLength(1);
  const flood = does({ kind: 'tide', value: 2, seconds: 1 }).go(right, 400);
  expect(flood.happened('fall').length).toBeGreaterThan(0);
  expect(tideLine(linked([]))).toBeLessThan(0);
});

test('effects that bring each other about stop with a word that names the links', () => {
  const course = linked(
    [
      { ...wall(9), breaks: { touches: 9 } },
      { ...wall(12), breaks: { touches: 9 } },
    ],
    when(
      'broken',
      { pieces: ['p3'] },
      { kind: 'show', pieces: ['p3'] },
      { kind: 'break', pieces: ['p4'] },
    ),
    when(
      'broken',
      { pieces: ['p4'] },
      { kind: 'show', pieces: ['p4'] },
      { kind: 'break', pieces: ['p3'] },
    ),
    when('start', {}, { kind: 'break', pieces: ['p3'] }),
  );
  const trial = new Trial(course).go(NO_INPUT, 5);
  expect(trial.happened('loop').map(({ text }) => text)).toEqual(['l3, l1, l2']);
});
