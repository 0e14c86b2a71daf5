import { TICKS_PER_SECOND } from '../../motion';
import type { World as Space } from '@dimforge/rapier3d-compat';
import {
  type Collider,
  type Contact,
  centreHeight,
  LOOSE_SIZE,
  poseMover,
  type Capsule,
  type World,
} from '../world';
import { FIELD_SIZE, FieldIndex, type LooseSimulation, type RunState, tideOf } from '../state';
import { isForce } from '../../pieces';
import { type Acted, applyField, beginForces, isDisabled, signedDistance } from '../contact';
import { physicsNow } from './physics';
import { laidOut } from './laidOut';
import { Rest } from './rest';
import { rotationOf } from './solid';
import { configureStep, type Handles } from './space';
import { type Still, staysStill, stillOf } from './still';
import { isClear } from './surroundings';

// What comes of each step goes into the state's numbers: the runner meets loose pieces as it meets movers,
// and pushes them by what an impact between two masses gives.

/** Slower than this nothing is given by what only leans on the runner, m/s. */
const LEAST_BLOW = 0.05;
/** How far below the tide a body's middle may get before it is gone, m. */
const SUNK = 1;

/** Lets go of a space's memory once nobody holds its bodies any more. */
const forgotten = new FinalizationRegistry<Space>((space) => space.free());

/** A push that is not felt yet: of a place in World.loose, where, and the impulse in N·s. */
interface Push {
  readonly body: number;
  readonly at: { readonly x: number; readonly y: number; readonly z: number };
  readonly impulse: { readonly x: number; readonly y: number; readonly z: number };
}

/** What of the bodies their space does not keep. */
interface Now {
  pushes: readonly Push[];
  /** The runner's. */
  size: number;
  still: Still | null;
  /** Whether the space is as it was some ticks ago. */
  isBehind: boolean;
  readonly rest: Rest;
}

/** The bodies of a run's loose pieces; part of its state, and copied with it. */
export class LooseBodies implements LooseSimulation {
  private constructor(
    private space: Space | null,
    private snapshot: Uint8Array | null,
    private readonly handles: Handles,
    private readonly now: Now,
  ) {
    if (space) forgotten.register(this, space, this);
  }

  /** The bodies of a course as it stands at the state's tick. */
  static of(world: World, s: RunState): LooseBodies {
    const { snapshot, handles } = laidOut(world, s);
    const rest = Rest.of(handles.loose.length);
    const now = { pushes: [], size: s.size, still: null, isBehind: false, rest };
    return new LooseBodies(null, snapshot, handles, now);
  }

  /** Bodies that go on from here by themselves, bit for bit as these would. */
  copy(): LooseBodies {
    this.snapshot ??= this.space!.takeSnapshot();
    const now = { ...this.now, rest: this.now.rest.copy() };
    return new LooseBodies(null, this.snapshot, this.handles, now);
  }

  /** Lets go of the space; what goes on from here makes it anew. For states that are many. */
  pack(): void {
    if (!this.space) return;
    this.snapshot ??= this.space.takeSnapshot();
    forgotten.unregister(this);
    this.space.free();
    this.space = null;
  }

  /** Has the numbers of what is loose be those that were kept; all else that is driven goes on. */
  takeBack(drives: Float64Array, kept: Float64Array): void {
    for (const from of this.handles.numbers)
      drives.set(kept.subarray(from, from + LOOSE_SIZE), from);
  }

  /** Moves everything loose on by a tick. */
  step(world: World, s: RunState): void {
    if (
      this.now.still &&
      this.now.pushes.length === 0 &&
      staysStill(this.now.still, world, s, SUNK)
    ) {
      for (const { drive } of world.loose) s.dynamicPoses.copyWithin(drive + 7, drive, drive + 7);
      this.now.isBehind = true;
      return;
    }
    const space = this.ready();
    const { handles } = this;
    this.moveCarried(space, world, s);
    for (const { collider, handle } of handles.fleeting) {
      const shape = space.getCollider(handle);
      if (shape.isEnabled() === isDisabled(world, s, collider)) {
        shape.setEnabled(!shape.isEnabled());
      }
    }
    this.placeRunner(space, world, s);
    space.gravity.y = -world.gravity * (s.tick < s.gravityUntil ? s.gravityBy : 1);
    world.loose.forEach(({ piece }, i) => {
      const body = space.getRigidBody(handles.loose[i]);
      if (body.isEnabled() === (s.away[piece] === 1)) body.setEnabled(!body.isEnabled());
    });
    for (const { body, at, impulse } of this.now.pushes) {
      space.getRigidBody(handles.loose[body]).applyImpulseAtPoint(impulse, at, true);
    }
    this.now.pushes = [];
    this.feelRegions(space, world, s);
    space.step();
    this.feelBlow(space, world, s);
    this.read(space, world, s);
    this.now.rest.watch(space, handles, s.tick, isClear(world, s));
    this.now.still = stillOf(space, handles, world, s);
  }

  private moveCarried(space: Space, world: World, s: RunState): void {
    for (const { mover, handle } of this.handles.carried) {
      const { pose, before } = poseMover(world.movers, s, mover);
      const body = space.getRigidBody(handle);
      if (this.now.isBehind) {
        const [x, y, z] = before.shift;
        body.setTranslation({ x, y, z }, true);
        body.setRotation(rotationOf(before.turn), true);
      }
      if (pose === before) continue;
      const [x, y, z] = pose.shift;
      body.setNextKinematicTranslation({ x, y, z });
      body.setNextKinematicRotation(rotationOf(pose.turn));
    }
    this.now.isBehind = false;
  }

  private ready(): Space {
    if (!this.space) {
      this.space = physicsNow().World.restoreSnapshot(this.snapshot!);
      configureStep(this.space);
      forgotten.register(this, this.space, this);
    }
    this.snapshot = null;
    return this.space;
  }

  private placeRunner(space: Space, world: World, s: RunState): void {
    const body = space.getRigidBody(this.handles.runner);
    const form = world.bodies[s.size];
    if (this.now.size !== s.size) {
      this.now.size = s.size;
      const shape = body.collider(0);
      shape.setRadius(form.radius);
      shape.setHalfHeight(form.half);
    }
    body.setTranslation({ x: s.x, y: s.y + centreHeight(form), z: s.z }, true);
    // Legs go on pushing what they walk against. What rolls stands still here: all that its motion gives to what it runs
    // into is told by `meet`.
    const walks = world.runner.walks ? 1 : 0;
    body.setLinvel({ x: walks * s.vx, y: walks * s.vy, z: walks * s.vz }, true);
  }

  /** What loose things that come at a runner without legs give it, m/s; what it stands on carries it, and gives it nothing. */
  private feelBlow(space: Space, world: World, s: RunState): void {
    if (world.runner.walks) return;
    if (s.ground >= 0 && world.colliders[s.ground].isDynamic) return;
    const v = space.getRigidBody(this.handles.runner).linvel();
    const flat = world.lane === null ? v.z : 0;
    if (v.x * v.x + flat * flat < LEAST_BLOW * LEAST_BLOW) return;
    s.vx += v.x;
    s.vz += flat;
  }

  /** What regions do to bodies whose middle is within them: push, and have them weigh otherwise. */
  private feelRegions(space: Space, world: World, s: RunState): void {
    const regions = forcesOf(world);
    if (regions.length === 0) return;
    world.loose.forEach((_, i) => {
      const body = space.getRigidBody(this.handles.loose[i]);
      if (!body.isEnabled()) return;
      const centre = body.worldCom();
      const foot = { ...centre, y: centre.y - MIDDLE };
      acted.x = centre.x;
      acted.y = centre.y;
      acted.z = centre.z;
      beginForces(world, s, felt);
      const usual = felt[FieldIndex.gravityY];
      let within = false;
      for (const c of regions) {
        if (isDisabled(world, s, c)) continue;
        if (signedDistance(world, s, middle(world), c, foot).distance >= 0) continue;
        applyField(world, s, c, acted);
        within = true;
      }
      if (!within) return;
      const v = body.linvel();
      const along =
        v.x * felt[FieldIndex.boostX] +
        v.y * felt[FieldIndex.boostY] +
        v.z * felt[FieldIndex.boostZ];
      const boost = Math.min(
        felt[FieldIndex.boost],
        Math.max(0, felt[FieldIndex.boostTop] - along) * TICKS_PER_SECOND,
      );
      const k = this.handles.masses[i] / TICKS_PER_SECOND;
      const sum = (push: number, way: number, gravity: number) =>
        k * (felt[push] + boost * felt[way] + felt[gravity]);
      const { pushX, pushY, pushZ, boostX, boostY, boostZ } = FieldIndex;
      const impulse = {
        x: sum(pushX, boostX, FieldIndex.gravityX),
        y: sum(pushY, boostY, FieldIndex.gravityY) - k * usual,
        z: sum(pushZ, boostZ, FieldIndex.gravityZ),
      };
      if (impulse.x !== 0 || impulse.y !== 0 || impulse.z !== 0) body.applyImpulse(impulse, true);
    });
  }

  private read(space: Space, world: World, s: RunState): void {
    const { dynamicPoses } = s;
    const tide = tideOf(s);
    world.loose.forEach(({ at, drive, piece }, i) => {
      dynamicPoses.copyWithin(drive + 7, drive, drive + 7);
      const body = space.getRigidBody(this.handles.loose[i]);
      if (!body.isEnabled()) return;
      const t = body.translation();
      const q = body.rotation();
      // Told from where the library had it at first, which is off by what its shorter numbers lose.
      dynamicPoses[drive] = t.x - Math.fround(at[0]);
      dynamicPoses[drive + 1] = t.y - Math.fround(at[1]);
      dynamicPoses[drive + 2] = t.z - Math.fround(at[2]);
      dynamicPoses.set([q.x, q.y, q.z, q.w], drive + 3);
      if (body.worldCom().y < tide - SUNK) s.away[piece] = 1;
    });
  }

  /**
   * Has the runner run into a loose piece: both come to go at one speed, but for the bounce.
   * @param v the runner's speed in the world, m/s
   * @returns how much of its speed against the piece the runner loses, m/s
   */
  meet(world: World, s: RunState, contact: Contact, v: readonly number[], bounce: number): number {
    const mover = world.movers[world.colliders[contact.collider].mover];
    const body = world.loose.indexOf(mover);
    const { nx, ny, nz } = contact;
    const form = world.bodies[s.size];
    const at = {
      x: s.x - nx * form.radius,
      y: s.y + centreHeight(form) - ny * form.radius - (ny > 0.3 ? form.half : 0),
      z: s.z - nz * form.radius,
    };
    const b = this.ready().getRigidBody(this.handles.loose[body]).velocityAtPoint(at);
    const closing = -(nx * (v[0] - b.x) + ny * (v[1] - b.y) + nz * (v[2] - b.z));
    if (closing <= 0) return 0;
    const own = world.runner.mass;
    const mass = this.handles.masses[body];
    const impulse = ((1 + bounce) * closing * own * mass) / (own + mass);
    if (!this.now.pushes.some((push) => push.body === body)) {
      const push = { x: -nx * impulse, y: -ny * impulse, z: -nz * impulse };
      this.now.pushes = [...this.now.pushes, { body, at, impulse: push }];
    }
    return impulse / own;
  }
}

/** Half the size of what stands for the middle of a body, m. */
const MIDDLE = 0.01;
const middle = ({ bodies }: World): Capsule => ({ index: bodies.length, radius: MIDDLE, half: 0 });

/** What acts on the body in hand. */
const felt = new Float64Array(FIELD_SIZE);
const acted: Acted = { field: felt, x: 0, y: 0, z: 0 };

const forcesByWorld = new WeakMap<World, readonly Collider[]>();

/** The regions of a course that act on what is loose. */
function forcesOf(world: World): readonly Collider[] {
  let known = forcesByWorld.get(world);
  if (!known) {
    known = world.colliders.filter(({ field }) => isForce(field));
    forcesByWorld.set(world, known);
  }
  return known;
}
