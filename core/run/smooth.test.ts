import fc from 'fast-check';
import { layPieces, type PieceInHand } from '../edit';
import { emptyCourse, modelId, packMesh, type Model } from '../course';
import { frameAt, type Vec3 } from '../geometry';
import { BED } from '../pieces';
import { DEFAULT_GRAVITY as G, FULL_PAD, NO_INPUT, tick } from '.';
import { bendLine, loopLine, ride, STRAIGHT, trackOf } from './follower.testing';
import { Trial } from './testing';
import { cases } from '../deep.testing';

const RADIUS = { roller: 0.35, cart: 0.4 } as const;
type Round = keyof typeof RADIUS;
const round = fc.constantFrom<Round>('roller', 'cart');
const rad = (degrees: number) => (degrees * Math.PI) / 180;

/** A curve's acceleration at a part of it, by differences, of a place that goes along it at a speed, m/s². */
function turning(at: (k: number) => Vec3, k: number, speed: number): Vec3 {
  const h = 1e-3;
  const [a, b, c] = [at(k - h), at(k), at(k + h)];
  const pace = Math.hypot(...c.map((v, i) => (v - a[i]) / (2 * h)));
  return b.map((v, i) => ((a[i] - 2 * v + c[i]) / (h * h)) * (speed / pace) ** 2) as never;
}

/** A bend's bank comes over two fifths of it and goes over two fifths, slowly at first and at last. */
const banked = (k: number) => {
  const near = Math.max(0, Math.min(1, Math.min(k, 1 - k) / 0.4));
  return near * near * (3 - 2 * near);
};

/** The least that presses a ball to the middle of a banked bend along its way, as a part of its weight. */
function leastPress(
  kind: Round,
  bend: { radius: number; turn: number; bank: number; climb: number },
  speed: number,
) {
  const { radius, turn, bank, climb } = bend;
  const frame = (k: number) => {
    const h = turn * k;
    const at: Vec3 = [radius * Math.sin(rad(h)), climb * k, radius * Math.cos(rad(h)) - radius];
    return frameAt(at, h, 0, -bank * banked(k));
  };
  const lift = BED + RADIUS[kind];
  const middle = (k: number): Vec3 => {
    const { at, turn: m } = frame(k);
    return [at[0] + m[1] * lift, at[1] + m[4] * lift, at[2] + m[7] * lift];
  };
  let least = Infinity;
  for (let k = 0.002; k < 1; k += 0.002) {
    const up = frame(k).turn;
    const [ax, ay, az] = turning(middle, k, speed);
    least = Math.min(least, (up[1] * ax + up[4] * (ay + G) + up[7] * az) / G);
  }
  return least;
}

test('a bend takes and gives nothing, banked or not, level or rising, and is never left where it is pressed to', () => {
  let [ridden, level] = [0, 0];
  fc.assert(
    fc.property(
      round,
      fc.double({ min: 4, max: 30, noNaN: true }),
      fc.integer({ min: 0, max: 45 }),
      fc.double({ min: 2, max: 8, noNaN: true }),
      fc.oneof(fc.constant(0), fc.integer({ min: -30, max: 30 })),
      fc.constantFrom(5, 8, 12, 20, 30, 40),
      (kind, radius, bank, width, percent, speed) => {
        if (radius < width / 2 + 1 || speed * speed > 4 * G * radius) return;
        const turn = 90;
        const length = radius * rad(turn);
        const climb = (length * percent) / 100;
        // A short bend has no room for more.
        const most = (0.6 * length) / (3.75 * (width / 2)) / rad(1);
        const bend = { radius, turn, bank: Math.min(bank, most), climb };
        const rise = climb + (percent / 100) * 24;
        const wheels = kind === 'cart' ? 0.35 * (length + 30) : 0;
        if (0.5 * speed * speed < 1.4 * (G * Math.max(0, rise) + wheels)) return;
        if (leastPress(kind, bend, speed) < 0.3) return;
        const top = Math.sqrt(speed * speed - 2 * G * Math.min(0, rise));
        if (top > 45 || leastPress(kind, bend, top) < 0.3) return;
        const piece: PieceInHand = {
          ...{ family: 'banked', at: [0, 0, 0] },
          params: { radius, turn, bank, width, rise: climb },
        };
        const course = trackOf(kind, piece, percent / 100);
        // A ball lies over the middle of a leaning bed, and so beside that of the bend.
        const inward = (k: number) => (BED + RADIUS[kind]) * Math.sin(rad(bend.bank * banked(k)));
        const line = bendLine(radius, turn, inward);
        const rode = ride(course, line, speed, ({ z }) => z < -radius - 8);
        ridden++;
        expect(rode.ticks).toBeLessThan(2400);
        // Where it rises, what is off the middle comes to a straight that is as steep as the middle only, and may hop.
        // What presses is reckoned for the middle; the rail comes back to it only by and by where a bed leans quickly.
        if (percent === 0 && rode.off < 0.1) {
          level++;
          expect(rode.air).toBe(0);
        }
        expect(rode.drift).toBeLessThan(0.02);
        expect(rode.deepest).toBeGreaterThan(-1e-3);
      },
    ),
    { numRuns: Math.max(60, cases(260)), seed: 5 },
  );

  expect(level).toBeGreaterThanOrEqual(cases(10));
  expect(ridden).toBeGreaterThan(cases(80));
});

describe.each<Round>(['roller', 'cart'])('a %s', (kind) => {
  test.each([3, 4, 7, 8, 15, 30])(
    'goes round a loop of radius %d m and loses nothing',
    (radius) => {
      const inner = radius - BED - RADIUS[kind];
      // From the foot v² = 5 g r carries over the top; a rolling sphere has 7/10 of its speed's square to spend.
      const need = Math.sqrt((kind === 'roller' ? 27 / 7 : 5) * G * inner);
      const course = trackOf(kind, { family: 'loop', at: [0, 0, 0], params: { radius } });
      const rideAt = (times: number) =>
        ride(course, loopLine(radius, -3.4), times * need, (s) => s.z < -3 && s.x > 12 && s.y < 1);
      for (const times of [1.05, 1.25, 1.5]) {
        const { air, drift, deepest } = rideAt(times);
        expect([times, air]).toEqual([times, 0]);
        expect(drift).toBeLessThan(0.01);
        expect(deepest).toBeGreaterThan(-1e-3);
      }
      expect(rideAt(0.97).air).toBeGreaterThan(5);
    },
  );

  test.each<[string, number, (l: number, h: number) => number]>([
    // The sharpest bend over its top, 1/m: of a half wave, and of the ease that begins and ends level.
    ['crest', 0.8, (l, h) => (h / 2) * ((2 * Math.PI) / l) ** 2],
    ['drop', 1.5, (l, h) => (6 * h) / (l * l)],
    ['rise', 1.5, (l, h) => (6 * h) / (l * l)],
  ])('keeps to a %s as fast as it may, and leaves it when faster', (family, height, sharpest) => {
    const length = 9;
    const k = sharpest(length, height);
    // What rolls has its middle further out.
    const limit = Math.sqrt(G * (1 / k + RADIUS[kind]));
    const course = trackOf(kind, { family, at: [0, 0, 0], params: { length, height } });
    const rode = (speed: number) => ride(course, STRAIGHT, speed, ({ x }) => x > length + 8);
    // Uphill and downhill its speed is another where the ground bends most.
    const spent = family === 'crest' ? height : family === 'rise' ? height : 0;
    const share = kind === 'roller' ? 5 / 7 : 1;
    const slow = Math.sqrt(
      limit * limit * 0.9 + 2 * G * share * spent - (family === 'drop' ? 0.5 : 0),
    );
    const slowly = rode(slow);
    expect(slowly.air).toBe(0);
    expect(slowly.drift).toBeLessThan(0.02);
    expect(rode(Math.sqrt(limit * limit * 1.25 + 2 * G * share * spent)).air).toBeGreaterThan(0);
  });

  test('dips and landings, narrowings and forks cost nothing at any speed', () => {
    for (const family of ['dip', 'widening', 'funnel', 'crossing', 'straight']) {
      for (const speed of [5, 10, 20, 40]) {
        const course = trackOf(kind, { family, at: [0, 0, 0] });
        const { air, drift } = ride(course, STRAIGHT, speed, ({ x }) => x > 14);
        // It rises to both ends of a dip, and leaves those where it is fast.
        if (family !== 'dip' || speed < 10)
          expect([family, speed, air]).toEqual([family, speed, 0]);
        if (family !== 'dip' || speed < 10) expect(drift).toBeLessThan(0.02);
      }
    }
  });
});

/** How far a cart is off the middle of a bend's steady bank after half a second of steering round it at a speed, m. */
function slipped(bank: number, speed: number): number {
  const radius = 9;
  const course = layPieces(
    {
      ...emptyCourse('Bank', 'free'),
      runner: { kind: 'cart', settings: { topSpeed: 40, acceleration: 0.35 } },
      tide: -90,
    },
    [
      { family: 'start', at: [0, BED, 0] },
      { family: 'banked', at: [0, 0, 0], params: { radius, turn: 360, bank, width: 6 } },
    ],
  );
  // At the beginning of what is banked all the way: 0.4 of the whole turn.
  const part = 0.41;
  const angle = 360 * part;
  const { at, turn: m } = frameAt(
    [radius * Math.sin(rad(angle)), 0, radius * Math.cos(rad(angle)) - radius],
    angle,
    0,
    -bank,
  );
  const lift = BED + 0.405;
  const trial = new Trial(course);
  const { world, state: s } = trial;
  Object.assign(s, { x: at[0] + m[1] * lift, z: at[2] + m[7] * lift });
  s.y = at[1] + m[4] * lift - 0.4;
  Object.assign(s, { vx: speed * m[0], vz: speed * m[6] });
  Object.assign(s, {
    fx: m[0],
    fz: m[6],
    gx: m[1],
    gy: m[4],
    gz: m[7],
  });
  const middle = Math.hypot(s.x, s.z + radius);
  let most = 0;
  // What presses it on is felt smoothed over some ticks; it has been there for long.
  s.press = (speed * speed * Math.sin(rad(bank))) / middle + G * Math.cos(rad(bank));
  // As long as it is banked all the way.
  for (let i = 0; i < (9.5 / speed) * 120; i++) {
    const right = Math.hypot(s.x, s.z + radius) - middle;
    const here = Math.atan2(s.x, s.z + radius);
    // By how much it points to the left of the line, and should.
    const aim = s.fx * -Math.sin(here) - s.fz * Math.cos(here);
    const bend = Math.cos(rad(bank)) / middle + 0.4 * (0.3 * right - aim);
    const steer = FULL_PAD * Math.max(-1, Math.min(1, -4 * bend));
    tick(world, s, { x: steer, z: -16, jump: false }, () => {});
    most = Math.max(most, Math.abs(right));
  }
  return most;
}

test('a cart takes a bend as fast as its hold and its bank let it, faster the more it is banked', () => {
  const fastest = (bank: number) => {
    let [low, high] = [8, 39];
    while (high - low > 0.2) {
      const speed = (low + high) / 2;
      if (slipped(bank, speed) < 0.2) low = speed;
      else high = speed;
    }
    return low;
  };
  const all = [0, 5, 10, 15, 20, 25].map((bank) => {
    // v² = g r (sin b + m cos b) / (cos b - m sin b) for a hold of m times what presses it on.
    const [n, c, m] = [Math.sin(rad(bank)), Math.cos(rad(bank)), 1.4];
    const closed = Math.sqrt((G * (9 - 0.7 * n) * (n + m * c)) / (c - m * n));
    return { bank, closed, measured: fastest(bank) };
  });
  for (const { closed, measured } of all)
    expect(Math.abs(measured / closed - 1)).toBeLessThan(0.05);
});

/** A half pipe across the way, brought in as a model of so many flat faces, and drawn to touch face by face. */
function broughtHalfPipe(radius: number, faces: number): PieceInHand & { model: Model } {
  const thick = 0.4;
  const rim = (r: number, i: number): [number, number] => {
    const a = Math.PI * (1 + i / faces);
    return [r * Math.cos(a), radius + thick + r * Math.sin(a)];
  };
  const size: [number, number, number] = [2 * (radius + thick), radius + thick, 6];
  const places: number[] = [];
  const corners: number[] = [];
  for (let i = 0; i <= faces; i++) {
    const [x, y] = rim(radius, i);
    for (const z of [-0.5, 0.5]) places.push(x / size[0], y / size[1], z);
    const n = 2 * i;
    if (i > 0) corners.push(n - 2, n - 1, n, n, n - 1, n + 1);
  }
  const model = { name: 'Half pipe', ...packMesh(places, corners) };
  return {
    ...{ family: 'model', at: [0, 0, 0], size, collision: 'on', model },
    params: { model: modelId(model) },
    shape: {
      size,
      parts: Array.from({ length: faces }, (_, i) => ({
        kind: 'outline' as const,
        points: [
          rim(radius, i),
          rim(radius + thick, i),
          rim(radius + thick, i + 1),
          rim(radius, i + 1),
        ],
      })),
    },
  };
}

test.each<Round>(['roller', 'cart'])(
  'a %s goes up the other side of a half pipe made of flat faces as high as it came down',
  (kind) => {
    for (const [radius, faces] of [
      [4, 24],
      [6, 24],
      [10, 40],
    ]) {
      const { model, ...pipe } = broughtHalfPipe(radius, faces);
      const empty = trackOf(kind, { family: 'straight', at: [0, 0, 0] });
      const course = {
        ...layPieces({ ...empty, pieces: [], models: { [modelId(model)]: model } }, [
          { family: 'start', at: [0, 0.4, 0] },
          pipe,
        ]),
      };
      const trial = new Trial(course).go(NO_INPUT, 8);
      const { state: s, world } = trial;
      expect(s.ground).toBeGreaterThanOrEqual(0);
      const body = world.bodies[0];
      const foot = s.y;
      // From the bottom up the side: as high as its speed takes it, less than the half pipe's own height.
      const k = kind === 'roller' ? 5 / 7 : 1;
      const high = 0.6 * (radius - body.radius);
      s.vx = Math.sqrt(2 * k * G * high);
      const tops: number[] = [];
      let [before, last] = [0, s.y];
      for (let i = 0; i < 2400 && tops.length < 3; i++) {
        trial.go(NO_INPUT, 1);
        if (before > 0 && s.y < last && last - foot > 0.5) tops.push(last - foot);
        before = s.y - last;
        last = s.y;
      }
      // A cart's wheels hold it back a little on the way; what it loses from pass to pass besides is not looked at.
      const wheels = kind === 'cart' ? (0.35 * Math.acos(1 - high / radius) * radius) / G : 0;
      for (const top of kind === 'cart' ? tops.slice(0, 1) : tops) {
        expect(Math.abs(top / (high - wheels) - 1)).toBeLessThan(0.02);
      }
      expect(tops).toHaveLength(3);
    }
  },
);
