import fc from 'fast-check';
import { DEMO_COURSES } from '@/demo/courses';
import { DEMO_RUNS } from '@/demo/runs';
import { phaseSeconds, type PieceInHand, shiftPhase } from '../../edit';
import type { Course } from '../../course';
import { courseOf, floor } from '../../run/testing';
import { buildWorld, loadPhysics, replay, type Run } from '../../run';
import { runOf } from '../testing';
import { figuresOf, OPENING_STEP, openingsOf, passagesOf, shiftedOpening } from '.';
import { tried } from '../../deep.testing';

/** A floor that goes up from knee height and down again: low it stands in the way. */
const stamp = (period: number): PieceInHand => ({
  family: 'drift',
  at: [6, 0.5, 0],
  params: { direction: 'up', span: 3, period },
});
const course = (period: number) =>
  courseOf(floor(-5, 40), stamp(period), { family: 'lantern', at: [30, 0, 0] });

test('the figures of a clock that is passable in one part of it', () => {
  // Passable in the first 10 steps and the last 5 of 60.
  const passable = Array.from({ length: 60 }, (_, i) => i < 10 || i >= 55);
  const told = figuresOf(passable);
  const step = OPENING_STEP / 120;
  expect(told.share).toBeCloseTo(0.25, 9);
  expect(told.late).toBeCloseTo(9 * step, 9);
  expect(told.early).toBeCloseTo(5 * step, 9);
  expect(told.longestWait).toBeCloseTo(45 * step, 9);
});

test('whatever is passable, shares and waits are within the clock', () => {
  fc.assert(
    fc.property(fc.array(fc.boolean(), { minLength: 1, maxLength: 80 }), (passable) => {
      const { share, early, late, longestWait } = figuresOf(passable);
      const whole = (passable.length * OPENING_STEP) / 120;
      expect(share >= 0 && share <= 1).toBe(true);
      for (const seconds of [early, late, longestWait]) {
        expect(seconds >= 0 && seconds <= whole + 1e-9).toBe(true);
      }
      if (share === 1) expect(longestWait).toBe(0);
      if (share === 0) expect(longestWait).toBeCloseTo(whole, 9);
    }),
  );
});

test('held before it, one passes exactly at the delays at which one that waits there does', () => {
  const made = course(2.4);
  // It settles first, so that waiting longer changes nothing but the clock.
  const run = runOf(made, [30, 0, 0, 0], [700, 16, 0, 0]);
  if (!replay(made, run).finished) throw new Error('the run has to pass');
  const [opening] = openingsOf(made, run);
  expect(opening.piece).toBe('p3');
  expect(opening.period).toBeCloseTo(2.4, 2);
  expect(opening.passable).toHaveLength(144);
  expect(opening.passable[0]).toBe(true);
  expect(opening.share).toBeGreaterThan(0.1);
  expect(opening.share).toBeLessThan(1);
  // One that stands at the start for the delay comes by in the very same way, so much later.
  const [{ to }] = passagesOf(made, buildWorld(made), run);
  const goal = replay(made, run).path[3 * to];
  const differ = opening.passable.filter((passes, i) => {
    const wait = 30 + i * OPENING_STEP;
    const { events, path } = replay(made, runOf(made, [wait, 0, 0, 0], [to - 30, 16, 0, 0]));
    const hit = events.some(({ kind }) => kind === 'crush' || kind === 'fall');
    return passes !== (!hit && Math.abs(path[path.length - 3] - goal) < 1);
  });
  expect(differ).toEqual([]);
});

test.each([0.1, 0.3, -0.4])('a mover %f s earlier opens as what was so much later', (seconds) => {
  const made = course(2.4);
  const stretches: Run['inputs'] = [
    [30, 0, 0, 0],
    [700, 16, 0, 0],
  ];
  const [was] = openingsOf(made, runOf(made, ...stretches));
  const earlier = shiftPhase(made, 'p3', seconds);
  expect(phaseSeconds(earlier, 'p3')).toBeCloseTo((seconds + 2.4) % 2.4, 6);
  const run = runOf(earlier, ...stretches);
  expect(replay(earlier, run).falls).toBe(0);
  const [now] = openingsOf(earlier, run, () => {}, 'p3');
  const told = shiftedOpening(was, seconds)!;
  const differ = now.passable.filter((passes, i) => passes !== told.passable[i]);
  expect(differ.length).toBeLessThanOrEqual(2);
  expect(openingsOf(earlier, run, () => {}, 'p2')).toEqual([]);
});

test('round its whole clock an opening is what it was, and to and fro as well', () => {
  fc.assert(
    fc.property(
      fc.array(fc.boolean(), { minLength: 1, maxLength: 80 }),
      fc.integer({ min: -200, max: 200 }),
      (passable, steps) => {
        const seconds = (steps * OPENING_STEP) / 120;
        const whole = (passable.length * OPENING_STEP) / 120;
        const kind = 'by' as const;
        const opening = {
          piece: 'p',
          kind,
          clock: 'round' as const,
          period: whole,
          from: 0,
          passable,
          ...figuresOf(passable),
        };
        expect(shiftedOpening(shiftedOpening(opening, seconds)!, -seconds)).toEqual(opening);
        expect(shiftedOpening(opening, whole)).toEqual(opening);
        expect(shiftedOpening(opening, seconds)!.share).toBe(opening.share);
      },
    ),
  );
});

/** A raft that goes to and fro between two shores. */
const crossing = () =>
  courseOf(
    floor(-5, 5),
    { family: 'drift', at: [6.3, -0.4, 0], params: { direction: 'along', span: 4, period: 4 } },
    floor(11.7, 40),
    { family: 'lantern', at: [30, 0, 0] },
  );

test('what carries is got on and got off, each at its own times, as one that waits there finds', () => {
  const made = crossing();
  const openings = (run: Run) => openingsOf(made, run);
  // Of the ways to cross the first that works: on at some time, a rest while it goes over, and off.
  const found = [...Array(60).keys()]
    .flatMap((i) => [96, 112, 128].map((ride) => [8 * i, ride] as const))
    .map(([wait, ride]) => ({
      wait,
      ride,
      run: runOf(
        made,
        [wait + 30, 0, 0, 0],
        [120, 16, 0, 0],
        [ride + 24, 0, 0, 0],
        [500, 16, 0, 0],
      ),
    }))
    .find(({ run }) => {
      const { finished, falls } = replay(made, run);
      return finished && falls === 0 && openings(run).length === 2;
    })!;
  expect(found).toBeDefined();
  const [on, off] = openings(found.run);
  expect([on.kind, off.kind]).toEqual(['on', 'off']);
  for (const { passable, share } of [on, off]) {
    expect(passable[0]).toBe(true);
    expect(share).toBeLessThan(1);
  }
  expect(off.from).toBeGreaterThan(on.from);
  // One that rests on it so much longer gets off at the very same delays.
  const [, { to }] = passagesOf(made, buildWorld(made), found.run);
  const before = found.wait + 30 + 120;
  const goal = replay(made, found.run).path[3 * to];
  const differ = off.passable.filter((passes, i) => {
    if (!tried(i, 7)) return false;
    const rest = found.ride + 24 + i * OPENING_STEP;
    const run = runOf(
      made,
      [found.wait + 30, 0, 0, 0],
      [120, 16, 0, 0],
      [rest, 0, 0, 0],
      [to - before - found.ride - 24, 16, 0, 0],
    );
    const { events, path } = replay(made, run);
    const hit = events.some(({ kind }) => kind === 'crush' || kind === 'fall');
    return passes !== (!hit && Math.abs(path[path.length - 3] - goal) < 1);
  });
  expect(differ).toEqual([]);
});

/** A block in the way, or a floor, that a link takes away for a while on every fourth beat, two seconds apart. */
const onTheBeat = (kind: 'gate' | 'floor') => {
  const made =
    kind === 'gate'
      ? courseOf(
          floor(-5, 40),
          { family: 'block', at: [6, 0, 0], size: [1, 3, 4] },
          { family: 'lantern', at: [30, 0, 0] },
        )
      : courseOf(floor(-5, 5), { family: 'slab', at: [8, -1, 0], size: [6, 1, 4] }, floor(11, 40), {
          family: 'lantern',
          at: [30, 0, 0],
        });
  return {
    ...made,
    tempo: { beats: 120, offset: 0 },
    links: (['hide', 'show'] as const).map((what, i) => ({
      id: `l${i}`,
      cue: { kind: 'beat' as const, count: 4 },
      effects: [{ kind: what, pieces: ['p3'] }],
      ...(what === 'show' ? { delay: kind === 'gate' ? 1 : 0.6 } : {}),
    })),
  };
};

test.each(['gate', 'floor'] as const)(
  'a %s that links bring and take away on the beat has its openings, as one that waits finds them',
  (kind) => {
    const made = onTheBeat(kind);
    const waited = (wait: number) => runOf(made, [wait, 0, 0, 0], [700, 16, 0, 0]);
    const passes = (wait: number) => {
      const { finished, falls } = replay(made, waited(wait));
      return finished && falls === 0;
    };
    const wait = [...Array(60).keys()].map((i) => 30 + 8 * i).find(passes)!;
    const [opening] = openingsOf(made, waited(wait));
    expect(opening).toMatchObject({ piece: 'p3', kind: 'by', period: 2 });
    expect(opening.share).toBeGreaterThan(0.05);
    expect(opening.share).toBeLessThan(0.9);
    const [{ to }] = passagesOf(made, buildWorld(made), waited(wait));
    const goal = replay(made, waited(wait)).path[3 * to];
    const differ = opening.passable.filter((opens, i) => {
      if (!tried(i, 7)) return false;
      const later = wait + i * OPENING_STEP;
      const run = runOf(made, [later, 0, 0, 0], [to - wait, 16, 0, 0]);
      const { events, path } = replay(made, run);
      const stopped = events.some(({ kind: what }) => what === 'crush' || what === 'fall');
      return opens !== (!stopped && Math.abs(path[path.length - 3] - goal) < 1);
    });
    expect(differ).toEqual([]);
  },
);

/** A gate in the way that a timer opens, for a while or for good. */
const onATimer = (lasts: number | undefined, once?: true) => ({
  ...courseOf(
    floor(-5, 40),
    { family: 'gate', at: [6, 0, 0], size: [0.4, 2.4, 4], params: { opens: 'link' } },
    { family: 'lantern', at: [30, 0, 0] },
  ),
  links: [
    {
      id: 'l0',
      cue: { kind: 'timer' as const, seconds: 3 },
      effects: [{ kind: 'open' as const, pieces: ['p3'], seconds: lasts }],
      once,
    },
  ],
});

test.each([
  { lasts: 1.6, once: undefined, clock: 'round', period: 3 },
  { lasts: 1.6, once: true, clock: 'once', period: 20 },
  { lasts: undefined, once: undefined, clock: 'once', period: 20 },
] as const)(
  'what a timer opens for $lasts s, once: $once, is open as one that waits longer finds it',
  ({ lasts, once, clock, period }) => {
    const made = onATimer(lasts, once);
    const wait = 3 * 120;
    const run = (ticks: number) => runOf(made, [ticks, 0, 0, 0], [700, 16, 0, 0]);
    expect(replay(made, run(wait)).finished).toBe(true);
    const [opening, ...others] = openingsOf(made, run(wait));
    expect(others).toEqual([]);
    expect(opening).toMatchObject({ piece: 'p3', kind: 'by', clock, period });
    const [{ to }] = passagesOf(made, buildWorld(made), run(wait));
    const goal = replay(made, run(wait)).path[3 * to];
    const differ = opening.passable.filter((opens, i) => {
      if (!tried(i, 7)) return false;
      const later = wait + i * OPENING_STEP;
      const { path } = replay(made, runOf(made, [later, 0, 0, 0], [to - wait, 16, 0, 0]));
      return opens !== Math.abs(path[path.length - 3] - goal) < 1;
    });
    expect(differ).toEqual([]);
    if (lasts === undefined) return expect(opening).toMatchObject({ share: 1, early: 0 });
    // Open for less than it is, by the way there.
    const step = OPENING_STEP / 120;
    const { early, late, share, longestWait } = opening;
    expect(early + late).toBeGreaterThan(0.2);
    expect(early + late).toBeLessThan(lasts);
    expect(share).toBeCloseTo((early + late + step) / period, 6);
    expect(longestWait).toBeCloseTo(period - early - late - step, 6);
    if (once) expect(early).toBe(0);
  },
);

test('what a link on the beat takes away for good comes round by no clock', () => {
  const made = {
    ...onATimer(undefined),
    tempo: { beats: 120, offset: 0 },
    links: [
      {
        id: 'l0',
        cue: { kind: 'beat' as const, count: 4 },
        effects: [{ kind: 'open' as const, pieces: ['p3'] }],
      },
    ],
  };
  const [opening] = openingsOf(made, runOf(made, [300, 0, 0, 0], [700, 16, 0, 0]));
  expect(opening).toMatchObject({ clock: 'once', share: 1, early: 0 });
});

test('a gate that a switch opens for a while is open once after it was pressed', () => {
  const made = courseOf(
    floor(-5, 40),
    { family: 'switch', at: [3, 0, 0], params: { pair: 1, after: 'shut', time: 4 } },
    { family: 'gate', at: [12, 0, 0], params: { opens: 'pair', pair: 1 } },
    { family: 'lantern', at: [30, 0, 0] },
  );
  const run = runOf(made, [60, 16, 0, 0], [30, 0, 0, 0], [700, 16, 0, 0]);
  expect(replay(made, run)).toMatchObject({ finished: true });
  const [opening] = openingsOf(made, run);
  expect(opening).toMatchObject({ piece: 'p4', clock: 'once' });
  expect(opening.passable[0]).toBe(true);
  expect(opening.late).toBeLessThan(4);
  expect(opening.passable[opening.passable.length - 1]).toBe(false);
});

test('a clock that does not come round tells of nothing earlier, and no wait over its end', () => {
  const passable = Array.from({ length: 60 }, (_, i) => i < 10 || i >= 55);
  const told = figuresOf(passable, 'once');
  expect(told.early).toBe(0);
  expect(told.late).toBeCloseTo((9 * OPENING_STEP) / 120, 9);
  expect(told.longestWait).toBeCloseTo((45 * OPENING_STEP) / 120, 9);
  expect(figuresOf([true, true, true], 'once').late).toBeCloseTo((2 * OPENING_STEP) / 120, 9);
});

test('what does not move, or stands far off, has no opening', () => {
  const still = courseOf(floor(-5, 40), { family: 'lantern', at: [10, 0, 0] });
  const run = runOf(still, [300, 16, 0, 0]);
  expect(openingsOf(still, run)).toEqual([]);
  const far = courseOf(floor(-5, 40), { ...stamp(2), at: [6, 30, 0] as never });
  expect(openingsOf(far, runOf(far, [300, 16, 0, 0]))).toEqual([]);
});

test('what goes by no clock has no opening to tell', () => {
  const drifting: PieceInHand = {
    family: 'block',
    at: [6, 2, 0],
    motion: [{ kind: 'drift', velocity: [0, 0.2, 0], spread: [0, 0, 0] }],
  };
  const made = courseOf(floor(-5, 40), drifting, { family: 'lantern', at: [30, 0, 0] });
  expect(openingsOf(made, runOf(made, [700, 16, 0, 0]))).toEqual([]);
});

test.each(['low-tide-steps', 'salt-pan-hop'])(
  '%s: the proof passes each mover at its own time',
  async (slug) => {
    const demo = DEMO_COURSES.find((one) => one.slug === slug)!.course;
    await loadPhysics(demo);
    const [{ run }] = DEMO_RUNS[slug];
    const parts: number[] = [];
    const openings = openingsOf(demo, run, (part) => parts.push(part));
    expect(openings.length).toBeGreaterThan(0);
    expect(parts.at(-1)).toBe(1);
    for (const { passable, share } of openings) {
      expect(passable[0]).toBe(true);
      expect(share).toBeGreaterThan(0);
    }
    for (const { from, to } of passagesOf(demo, buildWorld(demo), run)) {
      expect(to).toBeGreaterThanOrEqual(from);
    }
  },
);

/** A crate that rests somewhere, and is loose. */
const crate = (x: number, z: number): PieceInHand => ({
  family: 'crate',
  at: [x, 0, z],
  size: [0.5, 0.5, 0.5],
  loose: true,
});

test.each([
  ['far off the way', crate(3, 2.6)],
  ['on the way, and pushed along it', crate(4.2, 0.5)],
  ['by the stand itself', crate(3.2, 0.9)],
])('with a crate %s one passes when one that waits there does', async (_, loose) => {
  const made: Course = {
    ...courseOf(floor(-5, 40), stamp(2.4), { family: 'lantern', at: [30, 0, 0] }, loose),
    space: 'free',
  };
  await loadPhysics(made);
  const run = runOf(made, [30, 0, 0, 0], [700, 16, 0, 0]);
  const [opening] = openingsOf(made, run);
  const [{ to }] = passagesOf(made, buildWorld(made), run);
  const goal = replay(made, run).path[3 * to];
  const differ = opening.passable.filter((passes, i) => {
    if (!tried(i, 12)) return false;
    const wait = 30 + i * OPENING_STEP;
    const stretch = runOf(made, [wait, 0, 0, 0], [to - 30, 16, 0, 0]);
    const { events, path } = replay(made, stretch);
    const hit = events.some(({ kind }) => kind === 'crush' || kind === 'fall');
    return passes !== (!hit && Math.abs(path[path.length - 3] - goal) < 1);
  });
  expect(differ).toEqual([]);
});
