import type { Course } from '../../course';
import { boundsOf, facetedBall, mapVec3, middle, type Vec3 } from '../../geometry';
import { applyPose, TICKS_PER_SECOND } from '../../motion';
import { hasPicture, poseMover, type RunState, tideOf, type World } from '../../run';
import { axes, DrawnScene, eyePlace, followedEye, type FollowingEye, pictureOf } from '../../sight';
import type { Hazard } from './onWay';

/** The pictures players have: a phone's and a wide screen's, as width over height. */
export const PICTURES = { phone: 390 / 844, wide: 1280 / 720 } as const;
export type PictureName = keyof typeof PICTURES;

/** How long before one comes to it a hazard is looked for, s. */
export const LOOK_BACK = 8;
/** Ticks between two looks. */
export const LOOK_STEP = 2;
/** Part of half the picture within which something counts as seen, and of its points that have to be. */
const [WITHIN, ENOUGH] = [0.96, 1 / 3];
/** Farther than this between two looks the runner was put somewhere else, m. */
const PUT = 1.5;
/** Most corners of a shape that are looked for, and how far they are drawn to its middle. */
const [CORNERS, DRAWN_IN] = [12, 0.1];

/** How long a hazard was seen before one came to it. */
export interface TimeInSight {
  /** Seconds within the last eight in which it was seen. */
  readonly seen: number;
  /** Seconds from when it was last seen until then. */
  readonly blind: number;
}

/** What looks for hazards and the runner through one picture, look by look. */
export class Watcher {
  private readonly shape: number;
  private eye: FollowingEye | null = null;
  private last: Vec3 = [NaN, 0, 0];
  private looks = 0;
  private unseen = 0;
  private readonly counts: Int32Array;
  private readonly lastSeen: Int32Array;

  /**
   * @param course the course as it is run
   * @param world the course made ready
   * @param scene what is drawn of it
   * @param hazards what is looked for
   * @param stops the tick at which each is come to
   * @param picture through which
   */
  constructor(
    private readonly course: Course,
    private readonly world: World,
    private readonly scene: DrawnScene,
    private readonly hazards: readonly Hazard[],
    private readonly stops: readonly number[],
    picture: PictureName,
  ) {
    this.shape = PICTURES[picture];
    this.counts = new Int32Array(hazards.length);
    this.lastSeen = new Int32Array(hazards.length).fill(-1);
  }

  /** Looks at how things are in a state. */
  look(state: RunState): void {
    const { course, world, scene, shape } = this;
    const [x, y, z] = this.last;
    const put = !(Math.hypot(state.x - x, state.y - y, state.z - z) < PUT);
    this.last = [state.x, state.y, state.z];
    this.eye = followedEye(
      put ? null : this.eye,
      { course, world, state, scene, shape },
      LOOK_STEP / TICKS_PER_SECOND,
    );
    const from = eyePlace(this.eye);
    const inPicture = pictureOf(this.eye, shape, WITHIN);
    const tide = tideOf(state);
    const sees = (points: readonly Vec3[], own: number) => {
      const isSeen = (p: Vec3) => p[1] > tide && inPicture(p) && scene.isFree(state, from, p, own);
      return points.filter(isSeen).length >= points.length * ENOUGH;
    };
    this.looks++;
    if (!sees(bodyPoints(world, state, this.eye), -1)) this.unseen++;
    const earliest = LOOK_BACK * TICKS_PER_SECOND;
    this.hazards.forEach((hazard, i) => {
      const before = this.stops[i] - state.tick;
      if (before <= 0 || before > earliest || !standsReady(world, state, hazard)) return;
      if (!sees(pointsOf(world, state, hazard), hazard.piece)) return;
      this.counts[i]++;
      this.lastSeen[i] = state.tick;
    });
  }

  /** Part of the looks in which the runner was not seen. */
  get hidden(): number {
    return this.looks > 0 ? this.unseen / this.looks : 0;
  }

  /** How long a hazard was seen, by its place among those looked for. */
  sight(i: number): TimeInSight {
    const stop = this.stops[i];
    const since =
      this.lastSeen[i] < 0 ? Math.min(stop, LOOK_BACK * TICKS_PER_SECOND) : stop - this.lastSeen[i];
    return {
      seen: (this.counts[i] * LOOK_STEP) / TICKS_PER_SECOND,
      // What is seen at the last look before is seen until then.
      blind: since <= LOOK_STEP ? 0 : since / TICKS_PER_SECOND,
    };
  }
}

/** Whether a hazard is to be seen where it will be: awake, and slid into its place. */
function standsReady(world: World, s: RunState, { piece, shapes }: Hazard): boolean {
  if (!hasPicture(world, s, piece)) return false;
  return shapes.every(({ collider }) => {
    for (let at = collider.mover; at >= 0; at = world.movers[at].parent) {
      const { wake, driven, drive } = world.movers[at];
      if (wake && s.moverFrom[at] < 0) return false;
      if (driven?.kind === 'arrive' && s.dynamicPoses[drive] < 1) return false;
    }
    return true;
  });
}

/** Places of the runner that are looked for: low, in the middle and high, and to both sides. */
function bodyPoints(world: World, s: RunState, eye: FollowingEye): Vec3[] {
  const { radius, half } = world.bodies[s.size];
  const high = 2 * (radius + half);
  const { right } = axes(eye);
  const at = (up: number, aside: number): Vec3 => [
    s.x + right[0] * aside,
    s.y + high * up,
    s.z + right[2] * aside,
  ];
  return [at(0.15, 0), at(0.5, 0), at(0.9, 0), at(0.5, 0.8 * radius), at(0.5, -0.8 * radius)];
}

const known = new WeakMap<object, readonly Vec3[]>();

/** Middle and corners of a hazard's shapes in their pose now. */
function pointsOf(world: World, s: RunState, { shapes }: Hazard): Vec3[] {
  return shapes.flatMap(({ collider }) => {
    let points = known.get(collider);
    if (!points) known.set(collider, (points = cornersOf(collider.form)));
    if (collider.mover < 0) return points;
    const { pose } = poseMover(world.movers, s, collider.mover);
    return points.map((p) => applyPose(pose, p));
  });
}

/** The middle of a form and some of its corners, drawn in a little. */
function cornersOf(form: Hazard['shapes'][number]['collider']['form']): Vec3[] {
  const corners =
    form.kind === 'ball' ? facetedBall(form.centre, form.radius).points : form.solid.points;
  const centre = middle(boundsOf(corners));
  const step = Math.max(1, corners.length / CORNERS);
  const told: Vec3[] = [centre];
  for (let i = 0; i < corners.length && told.length <= CORNERS; i += step) {
    const p = corners[Math.floor(i)];
    told.push(mapVec3((axis) => p[axis] + (centre[axis] - p[axis]) * DRAWN_IN));
  }
  return told;
}
