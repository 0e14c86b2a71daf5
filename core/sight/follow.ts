import type { Course } from '../course';
import { mapVec3, shortestAngle, type Vec3 } from '../geometry';
import { RUNNER_SPECS, type RunState, type World } from '../run';
import { cameraNow, cameraOf, lookAt, MIDDLE, type CameraView } from './camera';
import type { DrawnScene } from './drawn';
import { type Eye, eyePlace, TAN_HALF_FIELD } from './eye';
import { facingOf } from './facing';

/** How an eye behind a runner stands other than usual, so as to see it past what is in between. */
export interface Dodge {
  /** Degrees more from above. */
  readonly above: number;
  /** Part of the usual distance. */
  readonly near: number;
}

/** An eye that goes with a runner. */
export interface FollowingEye extends Eye {
  /** The kind of camera it is. */
  readonly kind: CameraView['kind'];
  /** How it stands now, how it is to stand, and seconds for which nothing came between from the usual place. */
  readonly dodge: Dodge;
  readonly aim: Dodge;
  readonly spare: number;
}

/** What is followed, and the picture it is followed in. */
export interface Followed {
  readonly course: Course;
  readonly world: World;
  readonly state: RunState;
  readonly scene: DrawnScene;
  /** Width of the picture over its height. */
  readonly shape: number;
}

const USUAL: Dodge = { above: 0, near: 1 };
/** Other ways to stand, the least of a change first. */
const DODGES: readonly Dodge[] = [0, 10, 20, 32]
  .flatMap((above) => [1, 0.75, 0.55, 0.4].map((near) => ({ above, near })))
  .sort((a, b) => a.above / 20 + (1 - a.near) * 3 - (b.above / 20 + (1 - b.near) * 3))
  .slice(1);
/** How fast it takes to another place, and goes back, 1/s. */
const [OUT, BACK] = [7, 1.6];
/** How fast it comes round while something stands, or is about to stand, between, 1/s. */
const HASTE = 2.4;
/** Seconds ahead that it looks for what will stand between: to come round in time, and to stand elsewhere. */
const [SOON, NOW] = [
  [0, 0.25, 0.5],
  [0, 0.15],
];
/** Seconds for which the usual place has to be free before it goes back there. */
const SURE = 0.6;
/** Height over the water that it keeps when it stands elsewhere, m. */
const LOWEST = 0.6;

/**
 * The eye a moment later, as the course's camera says, with more of what comes than of what was. One that follows
 * behind comes round after the runner as long as it moves, and goes round, over or nearer than what would stand
 * between them, before it does.
 *
 * @param before the eye a moment before; null to look at the runner anew
 * @param what what is followed
 * @param delta seconds since then
 */
export function followedEye(
  before: FollowingEye | null,
  what: Followed,
  delta: number,
): FollowingEye {
  const { course, world, state, shape } = what;
  const tall = shape < 1;
  const camera = cameraNow(world, state, cameraOf(course, tall), tall);
  const { kind } = camera;
  const reach = camera.distance * TAN_HALF_FIELD * shape;
  const heading = facingOf(world.runner, state);
  const look = lookAt(
    camera,
    { x: state.x, y: state.y, z: state.z, heading },
    reach,
    comingRound(before, what, heading, delta),
  );
  const { aim, spare } =
    kind === 'behind' ? aimOf(before, what, look, delta) : { aim: USUAL, spare: 0 };
  const dodge = before ? towards(before.dodge, aim, delta) : aim;
  const wanted = dodged(look, dodge, state);
  if (!before) return { kind, ...wanted, dodge, aim, spare };
  const ease = 1 - Math.exp(-delta * (kind === 'side' ? 8 : 5));
  const mix = (axis: 0 | 1 | 2, part: number) =>
    before.target[axis] + (wanted.target[axis] - before.target[axis]) * part;
  // What follows behind is never late along the ground; all else comes after gently.
  const close = kind === 'behind' ? 1 : ease;
  return {
    kind,
    target: [mix(0, close), mix(1, ease), mix(2, close)],
    distance: before.distance + (wanted.distance - before.distance) * ease,
    yaw: wanted.yaw,
    pitch: wanted.pitch,
    dodge,
    aim,
    spare,
  };
}

/** The turn of an eye behind the runner, which comes round after it as long as it moves; a cart's keeps close. */
function comingRound(
  before: FollowingEye | null,
  { world, state }: Followed,
  heading: number,
  delta: number,
): number {
  if (!before) return 90 - heading;
  const moving = state.vx * state.vx + state.vz * state.vz > 0.25;
  const { pace } = RUNNER_SPECS[world.runner.kind].camera;
  const turn = shortestAngle(90 - heading - before.yaw);
  // Where it is hidden from behind, it comes round in time.
  const quick = before.spare > 0 || pace === 0 ? pace : Math.max(pace, HASTE);
  return before.yaw + (moving ? turn * (1 - Math.exp(-delta * quick)) : 0);
}

const towards = (from: Dodge, to: Dodge, delta: number): Dodge => {
  const part = 1 - Math.exp(-delta * (to === USUAL ? BACK : OUT));
  return {
    above: from.above + (to.above - from.above) * part,
    near: from.near + (to.near - from.near) * part,
  };
};

/** The eye standing elsewhere. */
function dodged(look: Eye, { above, near }: Dodge, { x, y, z }: RunState): Eye {
  const middle: Vec3 = [x, y + MIDDLE, z];
  return {
    // Nearer, it looks less far ahead, so that the runner stays in the picture.
    target: mapVec3((i) => middle[i] + (look.target[i] - middle[i]) * near),
    distance: look.distance * near,
    yaw: look.yaw,
    pitch: Math.min(80, look.pitch + above),
  };
}

/** How an eye that follows behind is to stand, so that nothing comes between it and the runner. */
function aimOf(
  before: FollowingEye | null,
  { state, scene }: Followed,
  look: Eye,
  delta: number,
): { aim: Dodge; spare: number } {
  const isFree = (dodge: Dodge, ahead: readonly number[]) => {
    const eye = eyePlace(dodged(look, dodge, state));
    if (eye[1] < LOWEST && dodge !== USUAL) return false;
    return ahead.every((seconds) => {
      const [dx, dz] = [state.vx * seconds, state.vz * seconds];
      return scene.isFree(
        state,
        [eye[0] + dx, eye[1], eye[2] + dz],
        [state.x + dx, state.y + MIDDLE, state.z + dz],
      );
    });
  };
  const old = before?.aim ?? USUAL;
  const spare = isFree(USUAL, SOON) ? (before?.spare ?? 0) + delta : 0;
  const stays = old === USUAL ? spare > 0 || isFree(USUAL, NOW) : spare > SURE;
  if (stays) return { aim: USUAL, spare };
  if (old !== USUAL && isFree(old, NOW)) return { aim: old, spare };
  const found = DODGES.find((dodge) => isFree(dodge, NOW)) ?? DODGES.find((d) => isFree(d, [0]));
  return { aim: found ?? old, spare };
}
