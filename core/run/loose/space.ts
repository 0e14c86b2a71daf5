import type { World as Space } from '@dimforge/rapier3d-compat';
import type { Vec3 } from '../../geometry';
import { densityOf, formVolume, turnOf } from '../../pieces';
import { type Collider, DT, centreHeight, poseMover, type World } from '../world';
import type { RunState } from '../state';
import { isDisabled } from '../contact';
import { physicsNow } from './physics';
import { rotationOf, solidOf, standInVolume, unitedForm } from './solid';

// The space that loose pieces are stepped in: the course's solids, its movers, a body for the runner and
// one for each loose piece. Everything is added in the order of the world's lists, so that the same course
// always makes the same space.

const FRICTION = 0.6;
const BOUNCE = 0.1;
/** Parts of its speed and its turning that a body loses in a second: what rolls comes to rest. */
const DRAG = 0.05;
const ROLLING_DRAG = 0.6;

/** Handles of what a space holds: the same in every copy of it. */
export interface Handles {
  /** Bodies in the order of World.loose, and what each weighs, kg. */
  readonly loose: readonly number[];
  readonly masses: readonly number[];
  /** Where the numbers of each begin in RunState.drives. */
  readonly numbers: readonly number[];
  /** Bodies of other movers that carry solids. */
  readonly carried: readonly { readonly mover: number; readonly handle: number }[];
  readonly runner: number;
  /** Colliders that may come to be away. */
  readonly fleeting: readonly { readonly collider: Collider; readonly handle: number }[];
}

/** Lays out a course as it stands at the state's tick. */
export function createPhysicsWorld(world: World, s: RunState): { space: Space; handles: Handles } {
  const { RigidBodyDesc, World: NewSpace, CoefficientCombineRule } = physicsNow();
  const space = new NewSpace({ x: 0, y: -world.gravity, z: 0 });
  configureStep(space);
  const flat = world.lane !== null;
  const loose = world.loose.map(({ at, piece }) => {
    const desc = RigidBodyDesc.dynamic()
      .setTranslation(...at)
      .setEnabled(s.away[piece] === 0)
      .setCcdEnabled(true)
      .setLinearDamping(DRAG)
      .setAngularDamping(ROLLING_DRAG);
    if (flat) desc.enabledTranslations(true, true, false).enabledRotations(false, false, true);
    return space.createRigidBody(desc);
  });
  const bodyOf = new Map(world.loose.map(({ index }, i) => [index, i]));
  const carried = new Map<number, number>();
  const carrier = (mover: number) => {
    let handle = carried.get(mover);
    if (handle === undefined) {
      const { pose } = poseMover(world.movers, s, mover);
      const desc = RigidBodyDesc.kinematicPositionBased().setTranslation(...pose.shift);
      handle = space.createRigidBody(desc.setRotation(rotationOf(pose.turn))).handle;
      carried.set(mover, handle);
    }
    return space.getRigidBody(handle);
  };
  const fleeting: { collider: Collider; handle: number }[] = [];
  const mayGo = toggleablePieces(world);
  for (const { collider, form, density } of solidsOf(world, bodyOf)) {
    const { mover, piece, surface } = collider;
    const body = bodyOf.get(mover);
    const from: Vec3 = body === undefined ? [0, 0, 0] : world.loose[body].at;
    const desc = solidOf(form, from, turnOf(world.pieces[piece]))
      .setFriction(FRICTION * (surface?.grip ?? 1))
      .setRestitution(surface?.bounce ?? BOUNCE)
      .setRestitutionCombineRule(
        surface?.bounce === undefined ? CoefficientCombineRule.Average : CoefficientCombineRule.Max,
      );
    // It weighs what the form itself does, not the box or the drum that may stand for it. Told by a density: a mass that
    // is told would not come out of a snapshot bit for bit.
    desc.setDensity((density * formVolume(form)) / standInVolume(desc, form));
    const holder = body !== undefined ? loose[body] : mover >= 0 ? carrier(mover) : undefined;
    const made = space.createCollider(desc, holder);
    if (collider.gate < 0 && !mayGo.has(piece)) continue;
    fleeting.push({ collider, handle: made.handle });
    if (isDisabled(world, s, collider)) made.setEnabled(false);
  }
  return {
    space,
    handles: {
      loose: loose.map(({ handle }) => handle),
      masses: loose.map((body) => body.mass()),
      numbers: world.loose.map(({ drive }) => drive),
      carried: [...carried].map(([mover, handle]) => ({ mover, handle })),
      runner: addRunner(space, world, s),
      fleeting,
    },
  };
}

interface Solid {
  readonly collider: Collider;
  readonly form: Collider['form'];
  /** kg/m³; only what is loose weighs anything. */
  readonly density: number;
}

/** What is solid to loose pieces, in order. Those of one loose piece count as one where they can. */
function solidsOf(world: World, loose: ReadonlyMap<number, number>): Solid[] {
  const solids: Solid[] = [];
  const own = new Map<number, Collider[]>();
  for (const collider of world.colliders) {
    const { role, mover, piece, form } = collider;
    if (!loose.has(mover)) {
      if (role === 'solid') solids.push({ collider, form, density: 0 });
    } else if (role === 'solid' || role === 'hazard') {
      own.set(piece, [...(own.get(piece) ?? []), collider]);
    }
  }
  for (const [piece, colliders] of own) {
    const density = densityOf(world.pieces[piece]);
    const united = unitedForm(colliders.map(({ form }) => form));
    if (united) {
      solids.push({ collider: colliders[0], form: united.form, density: density * united.part });
    } else {
      for (const collider of colliders) solids.push({ collider, form: collider.form, density });
    }
  }
  return solids;
}

/** The runner as loose pieces feel it: an upright capsule without friction, put in its place each tick. */
function addRunner(space: Space, world: World, s: RunState): number {
  const { RigidBodyDesc, ColliderDesc } = physicsNow();
  const { radius, half } = world.bodies[s.size];
  const lift = centreHeight(world.bodies[s.size]);
  const body = space.createRigidBody(
    RigidBodyDesc.dynamic()
      .setTranslation(s.x, s.y + lift, s.z)
      .lockRotations()
      .setAdditionalMass(world.runner.mass)
      .setCanSleep(false),
  );
  space.createCollider(
    ColliderDesc.capsule(half, radius).setDensity(0).setFriction(0).setRestitution(0),
    body,
  );
  return body.handle;
}

/** Sets what a snapshot does not keep. */
export function configureStep(space: Space): void {
  space.timestep = DT;
  // There are no soft bodies, and looking for new ones walks every collider each step.
  (space as unknown as { mapNewSoftBodies: () => void }).mapNewSoftBodies = () => {};
}

/** Pieces that may come or go in a run. */
function toggleablePieces({ pieces, links }: World): Set<number> {
  const places = new Map(pieces.map(({ id }, i) => [id, i]));
  const gone = new Set<number>();
  pieces.forEach(({ absent, breaks, loose }, i) => {
    if (absent || breaks || loose) gone.add(i);
  });
  for (const { effects } of links) {
    for (const effect of effects) {
      for (const id of effect.pieces ?? []) {
        const place = places.get(id);
        if (place !== undefined) gone.add(place);
      }
    }
  }
  return gone;
}
