import { DEMO_COURSES } from '@/demo/courses';
import { DEMO_RUNS } from '@/demo/runs';
import { changePieces, type PieceInHand } from '../../edit';
import { courseOf, floor } from '../../run/testing';
import { buildWorld, loadPhysics, replay } from '../../run';
import { cameraOf, eyePlace, lookAt, TAN_HALF_FIELD } from '../../sight';
import { runOf } from '../testing';
import { fairSheet, landingsOf, PICTURES } from '.';

/** The hopper's body, its top speed, and how fast and for how long it flies: v² = 2 g h. */
const [RADIUS, HEIGHT, SPEED] = [0.25, 0.9, 6];
const RISE = Math.sqrt(2 * 22 * 1.6);
const FLIGHT = (2 * RISE) / 22;
const lantern = (x: number): PieceInHand => ({ family: 'lantern', at: [x, 0, 0] });
/** A box that hurts and is touched just where it is drawn. */
const sharp = (at: [number, number, number], size: readonly number[]): PieceInHand => ({
  family: 'ashlar',
  at,
  size: size as never,
  role: 'hazard',
});
/** Runs to the right for some ticks. */
const ahead = (course: ReturnType<typeof courseOf>, ticks: number) =>
  runOf(course, [ticks, 16, 0, 0]);

describe('time in sight', () => {
  /** Thin, so that its points stand at one place along x. */
  const post = sharp([40, 0, 0], [0.02, 1, 0.02]);
  /** In front of it as the eye sees it, its right end 2 m before the post. */
  const wall: PieceInHand = { family: 'ashlar', at: [29, -2, 4.5], size: [18, 12, 1] };

  /** Where along x the runner is when the eye is somewhere, at full pace; and the eye's place then. */
  function eyeAt(shape: number) {
    const camera = cameraOf(courseOf(), shape < 1);
    const reach = camera.distance * TAN_HALF_FIELD * shape;
    const look = lookAt(camera, { x: 0, y: 0, z: 0, heading: 0 }, reach);
    const [x, , z] = eyePlace(look);
    // An eye that eases by 8 a second is a way of v/8 late, looked at every 60th of a second.
    const part = 1 - Math.exp(-8 / 60);
    const late = (SPEED / 60) * ((1 - part) / part);
    return { lead: x - late, depth: z };
  }

  /** The place of the runner when it comes to the post. */
  const stop = 40 - 0.01 - 0.5 - RADIUS;

  test('of what comes out from behind a wall is counted from there', () => {
    const course = courseOf(floor(-5, 60), post, wall, lantern(55));
    const [{ piece, sight, tick }] = fairSheet(course, { run: ahead(course, 1100) }).hazards;
    expect(piece).toBe('p3');
    const { lead, depth } = eyeAt(PICTURES.wide);
    // Seen past the wall's right end, x 38, at its face towards the eye, z 5.
    const eye = 40 - (40 - 38) * (depth / 5);
    expect(sight.wide.seen).toBeCloseTo((stop - (eye - lead)) / SPEED, 1);
    expect(sight.wide.blind).toBe(0);
    // On a phone it is out of the picture for longer than it is behind the wall.
    const phone = eyeAt(PICTURES.phone);
    const half = 0.96 * cameraOf(course, true).distance * TAN_HALF_FIELD * PICTURES.phone;
    expect(sight.phone.seen).toBeCloseTo((stop - (40 - half - phone.lead)) / SPEED, 1);
    const { path } = replay(course, ahead(course, 1100));
    expect(Math.abs(path[3 * tick] - stop)).toBeLessThan(SPEED / 60);
  });

  test('what stays behind a wall is blind, and so is the runner', () => {
    const long: PieceInHand = { ...wall, at: [30, -2, 4.5], size: [80, 12, 1] };
    const course = courseOf(floor(-5, 60), post, long, lantern(55));
    const { hazards, hidden } = fairSheet(course, { run: ahead(course, 1100) });
    expect(hazards[0].sight.wide).toEqual({ seen: 0, blind: hazards[0].tick / 120 });
    expect(hidden).toEqual({ phone: 1, wide: 1 });
    const open = courseOf(floor(-5, 60), post, lantern(55));
    expect(fairSheet(open, { run: ahead(open, 700) }).hidden).toEqual({ phone: 0, wide: 0 });
  });

  test('what sleeps counts from when it wakes', () => {
    const sleeper: PieceInHand = {
      ...post,
      motion: [{ kind: 'bob', height: 0.2, period: 2 }],
      wake: { on: 'near', distance: 3 } as never,
    };
    const seen = (piece: PieceInHand) => {
      const course = courseOf(floor(-5, 60), piece, lantern(55));
      return fairSheet(course, { run: ahead(course, 1100) }).hazards[0].sight.wide.seen;
    };
    expect(seen(sleeper)).toBeLessThan(0.6);
    expect(seen({ ...sleeper, wake: undefined })).toBeGreaterThan(1.5);
  });

  test('what the run goes nowhere near is not told', () => {
    const course = courseOf(floor(-5, 60), sharp([40, 20, 0], [1, 1, 1]), lantern(30));
    expect(fairSheet(course, { run: ahead(course, 900) }).hazards).toEqual([]);
  });
});

describe('margins', () => {
  test('the nearest pass is the distance between the shapes, and between the pictures', () => {
    // 60 cm aside of the lane, touched 20 cm farther than drawn.
    const beside = { ...sharp([10, 0, -1.1], [1, 1, 1]), allowance: { by: 'cm', value: 20 } };
    const course = courseOf(floor(-5, 40), beside as PieceInHand, lantern(30));
    const [{ nearest }] = fairSheet(course, { run: ahead(course, 700) }).hazards;
    expect(nearest!.pictures).toBeCloseTo(0.6 - RADIUS, 3);
    expect(nearest!.shapes).toBeCloseTo(0.4 - RADIUS, 3);
    expect(nearest!.over).toBeNull();
  });

  test('what is jumped over is cleared by the height of the foot over it', () => {
    const course = courseOf(floor(-5, 40), sharp([6, 0, 0], [0.2, 0.5, 1]), lantern(30));
    const run = runOf(course, [60, 16, 0, 0], [60, 16, 0, 1], [300, 16, 0, 0]);
    const sheet = fairSheet(course, { run });
    expect(sheet.unfair).toEqual([]);
    const [{ nearest }] = sheet.hazards;
    // The ball at its foot let down on the box, all along the flight.
    const from = replay(course, run).path[3 * 60];
    let least = Infinity;
    for (let t = 0; t < FLIGHT; t += 0.001) {
      const aside = Math.max(0, Math.abs(from + SPEED * t - 6) - 0.1);
      if (aside >= RADIUS) continue;
      const foot = RISE * t - 11 * t * t;
      const reach = Math.sqrt(RADIUS * RADIUS - aside * aside);
      least = Math.min(least, foot + RADIUS - 0.5 - reach);
    }
    expect(Math.abs(nearest!.over! - least)).toBeLessThan(0.08);
    expect(nearest!.shapes).toBeLessThanOrEqual(nearest!.over!);
  });

  test('a landing is where ballistics says, and its margins are the rest of the stone', () => {
    const course = courseOf(floor(-5, 4), floor(6.5, 40), lantern(30));
    const run = runOf(course, [90, 16, 0, 0], [119, 16, 0, 1], [200, 16, 0, 0]);
    const [{ at, short, long, press, piece }] = landingsOf(course, buildWorld(course), { run });
    expect([press, piece]).toEqual([90, 'p3']);
    const from = replay(course, run).path[3 * 90];
    expect(Math.abs(at[0] - (from + SPEED * FLIGHT))).toBeLessThan(0.01);
    expect(Math.abs(short - (at[0] - 6.5))).toBeLessThan(0.01);
    expect(Math.abs(long - (40 - at[0]))).toBeLessThan(0.01);
  });

  test.each([2.2, 2.8, 3.2, 3.4])(
    'a gap of %f m may be jumped for as long as there is ground',
    (gap) => {
      const course = courseOf(floor(-5, 4), floor(4 + gap, 40), lantern(30));
      const run = runOf(course, [90, 16, 0, 0], [60, 16, 0, 1], [200, 16, 0, 0]);
      const [{ early, late }] = landingsOf(course, buildWorld(course), { run });
      // Along the ground from the least place that reaches to the edge, and twelve ticks of grace after it.
      const flight = 2 * Math.sqrt((2 * 1.6) / 22) * SPEED;
      const ticks = ((flight - gap + 2 * RADIUS) / SPEED) * 120 + 12;
      expect(Math.abs(early + late - ticks)).toBeLessThanOrEqual(8);
    },
  );
});

describe('hits', () => {
  test('one in which the pictures do not meet is told, and mended it is fair', () => {
    const large = { ...sharp([8, 0, 0], [1, 1, 1]), allowance: { by: 'cm', value: 30 } };
    const course = courseOf(floor(-5, 40), large as PieceInHand, lantern(30));
    const [hit] = fairSheet(course, { run: ahead(course, 300) }).unfair;
    expect(hit.piece).toBe('p3');
    expect(hit.gap).toBeCloseTo(0.3, 2);
    expect(hit.mend).toEqual({ part: null, allowance: { by: 'cm', value: 0 } });
    const mended = changePieces(course, new Set(['p3']), (piece) => {
      piece.allowance = hit.mend.allowance;
    });
    expect(fairSheet(mended, { run: ahead(mended, 300) }).unfair).toEqual([]);
  });

  test('one at what is drawn is fair', () => {
    const course = courseOf(floor(-5, 40), sharp([8, 0, 0], [1, HEIGHT, 1]), lantern(30));
    expect(fairSheet(course, { run: ahead(course, 300) }).unfair).toEqual([]);
  });
});

test.each(DEMO_COURSES.map(({ slug }) => slug))('%s: its proof can be read', async (slug) => {
  const { course } = DEMO_COURSES.find((one) => one.slug === slug)!;
  await loadPhysics(course);
  const parts: number[] = [];
  const sheet = fairSheet(course, DEMO_RUNS[slug][0], (part) => parts.push(part));
  expect(parts.every((part, i) => i === 0 || part >= parts[i - 1])).toBe(true);
  expect(Math.max(sheet.hidden.phone, sheet.hidden.wide)).toBeLessThan(0.25);
  for (const { sight } of sheet.hazards) {
    for (const { seen, blind } of Object.values(sight)) {
      expect(seen >= 0 && seen <= 8 && blind >= 0 && blind <= 8).toBe(true);
    }
  }
});
