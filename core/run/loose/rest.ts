import type { RigidBody, World as Space } from '@dimforge/rapier3d-compat';
import type { Handles } from './space';

/** Ticks over which a body is watched. */
const WATCHED = 30;
/** How far a body that is at rest gets from where it was at most, m, and how far it turns, as the cosine of half of it. */
const [STRAY, TURN] = [0.02, 0.999];
/** Slower than this it is brought to rest, m/s and rad/s. */
const [SLOW, SLOW_TURN] = [0.4, 2];

const NONE = { x: 0, y: 0, z: 0 };

/** Numbers kept of a body: its place, its turn as a quaternion, the tick of these, and 1 while it rests there. */
const [SIZE, SINCE, RESTS] = [9, 7, 8];

/**
 * Brings to rest what gets nowhere, so that it falls asleep. By the library's small errors a stack of round things
 * sways a little, and then more, until it falls with nobody near. (Bodies that are told to sleep may go on through
 * what they lie on.)
 */
export class Rest {
  private constructor(private readonly kept: Float64Array) {}

  static of = (count: number): Rest => new Rest(new Float64Array(SIZE * count).fill(NaN));

  copy = (): Rest => new Rest(this.kept.slice());

  /** To be called after each step, and told whether the runner is near nothing loose. */
  watch(space: Space, { loose }: Handles, tick: number, isClear: boolean): void {
    const { kept } = this;
    for (let i = 0, at = 0; i < loose.length; i++, at += SIZE) {
      const body = space.getRigidBody(loose[i]);
      const since = kept[at + SINCE];
      if (!body.isEnabled() || body.isSleeping()) {
        // What wakes is watched anew.
        kept[at + SINCE] = NaN;
      } else if (Number.isNaN(since)) {
        keep(body, kept, at, tick, false);
      } else if (kept[at + RESTS] === 1) {
        if (!stays(body, kept, at)) keep(body, kept, at, tick, false);
        else if (isClear && isSlow(body)) {
          body.setLinvel(NONE, false);
          body.setAngvel(NONE, false);
        }
      } else if (tick - since >= WATCHED) {
        keep(body, kept, at, tick, stays(body, kept, at));
      }
    }
  }
}

/** Whether a body is still where it was. */
function stays(body: RigidBody, kept: Float64Array, at: number): boolean {
  const { x, y, z } = body.worldCom();
  const turn = body.rotation();
  const [dx, dy, dz] = [x - kept[at], y - kept[at + 1], z - kept[at + 2]];
  if (!(dx * dx + dy * dy + dz * dz < STRAY * STRAY)) return false;
  const [qx, qy, qz, qw] = [kept[at + 3], kept[at + 4], kept[at + 5], kept[at + 6]];
  return Math.abs(turn.x * qx + turn.y * qy + turn.z * qz + turn.w * qw) > TURN;
}

function isSlow(body: RigidBody): boolean {
  const v = body.linvel();
  const w = body.angvel();
  return (
    v.x * v.x + v.y * v.y + v.z * v.z < SLOW * SLOW &&
    w.x * w.x + w.y * w.y + w.z * w.z < SLOW_TURN * SLOW_TURN
  );
}

function keep(body: RigidBody, kept: Float64Array, at: number, tick: number, rests: boolean) {
  const { x, y, z } = body.worldCom();
  const turn = body.rotation();
  kept.set([x, y, z, turn.x, turn.y, turn.z, turn.w, tick, rests ? 1 : 0], at);
}
