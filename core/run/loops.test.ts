import { endsOf, joinTo, layPieces, type PieceInHand } from '../edit';
import { emptyCourse, type RunnerKind } from '../course';
import { BED } from '../pieces';
import { DEFAULT_GRAVITY as G, NO_INPUT, type RunState } from '.';
import { Trial } from './testing';
import { signedDistance } from './contact';

/** A loop's way leads aside by its width and a little, so that it comes out beside where it went in. */
const ASIDE = -3.4;
/** Where a loop's circle stands along its way, m. */
const LEAD = 2;

/** A run at a loop between two straights at a speed; steered to the middle of the way, as anybody would. */
function runAt(kind: RunnerKind, radius: number, speed: number) {
  const loop: PieceInHand = { family: 'loop', at: [0, 0, 0], params: { radius } };
  const straight: PieceInHand = { family: 'straight', at: [0, 0, 0], params: { length: 30 } };
  const course = layPieces(
    { ...emptyCourse('Loop', 'free'), runner: { kind, settings: { topSpeed: 40 } }, tide: -9 },
    [
      { family: 'start', at: [-6, BED, 0] },
      { ...straight, at: [-30, 0, 0] },
      loop,
      joinTo(straight, 0, endsOf({ ...loop, id: 'l' })[1]),
    ],
  );
  const trial = new Trial(course).go(NO_INPUT, 10);
  const { state: s, world } = trial;
  s.vx = speed;
  let [round, last, top, deepest] = [0, -Math.PI / 2, 0, Infinity];
  for (let i = 0; i < 900 && s.falls === 0 && s.x < 15; i++) {
    const angle = Math.atan2(s.y + world.bodies[0].radius - radius - BED, s.x - LEAD);
    const turned = ((angle - last + 3 * Math.PI) % (2 * Math.PI)) - Math.PI;
    if (s.x > LEAD || round > 0.1) round = Math.min(2 * Math.PI, round + Math.max(0, turned));
    last = angle;
    trial.go(steer(kind, s, round / (2 * Math.PI)));
    top = Math.max(top, s.y);
    for (const c of world.colliders) {
      deepest = Math.min(deepest, signedDistance(world, s, world.bodies[0], c, s).distance);
    }
  }
  return { state: s, top, deepest };
}

/** Steers back to the middle of a loop's way a little ahead of where a part of it is gone. */
function steer(kind: RunnerKind, s: RunState, part: number) {
  const k = Math.min(1, part + 0.06);
  const wanted = (ASIDE * k * k * (3 - 2 * k) - s.z) * 4 - s.vz;
  const speed = Math.max(1, Math.hypot(s.vx, s.vy, s.vz));
  const pad = Math.round(kind === 'cart' ? (640 * wanted) / (speed * speed) : 6 * wanted);
  const held = Math.max(-16, Math.min(16, pad));
  return { x: kind === 'cart' ? held : 0, z: kind === 'cart' ? 0 : held, jump: false };
}

describe.each<RunnerKind>(['cart', 'roller'])('a %s', (kind) => {
  test.each([3, 4, 6, 10])(
    'gets round a loop of radius %d m, on its bed and not in it',
    (radius) => {
      const inner = radius - BED - 0.4;
      // From the foot v² = 5 g r carries over the top; a rolling sphere has 7/10 of its speed's square to spend.
      const need = Math.sqrt((kind === 'roller' ? 27 / 7 : 5) * G * inner);
      const round = runAt(kind, radius, 1.15 * need);
      expect(round.deepest).toBeGreaterThan(-1e-6);
      expect(round.state.falls).toBe(0);
      expect(round.top).toBeGreaterThan(2 * inner - 0.5);
      expect(round.state.x).toBeGreaterThan(14);
      expect(Math.hypot(round.state.vx, round.state.vz)).toBeGreaterThan(0.8 * need);
      expect(runAt(kind, radius, 0.7 * need).top).toBeLessThan(1.8 * inner);
    },
  );
});
