import { centreHeight, type Collider, DT, LOOSE_SIZE, type Mover, type World } from '../world';
import { cloneState, type LooseSimulation, type RunState } from '../state';
import { isDisabled } from '../contact';
import { LooseBodies } from './loose';

// To step what is loose takes ten times as long as the rest of a tick, and to copy it longer than a hundred ticks.
// Where many runs begin from one world that waits, it does the same in all of them for as long as none comes near: it
// is stepped once, and the others are told what it did.

/** A run came near what is loose, or changed what that goes by: it has to be run with bodies of its own. */
export class OffTape extends Error {}

/** How far a runner stays off what is loose, besides the way it comes in two ticks, m. */
const CLEAR = 0.25;

/** What the loose pieces did in a tick, and what they went by. */
interface Frame {
  readonly surroundings: Float64Array;
  /** Whether the runner that led was near none of them. */
  readonly clear: boolean;
  readonly poses: Float64Array;
  /** For each of World.loose whether it is away. */
  readonly away: Uint8Array;
}

/**
 * A state that goes on as `s` would and is told what is loose does, as are all its copies. Their ticks throw `OffTape`
 * where that would not be right.
 * @param world the course made ready
 * @param s the state, which stays as it is
 * @param next what one tick of the world that waits is
 */
export function tapedState(world: World, s: RunState, next: (lead: RunState) => void): RunState {
  const begin = s.tick;
  const lead = cloneState(s);
  const bodies = new LeadingBodies(
    (s.bodies as LooseBodies | null)?.copy() ?? LooseBodies.of(world, s),
  );
  lead.bodies = bodies;
  const frameAt = (tick: number): Frame => {
    while (bodies.frames.length < tick - begin) {
      const { length } = bodies.frames;
      next(lead);
      // Where the world ends, or its loose pieces are put back, nothing more is known.
      if (bodies.frames.length === length || lead.bodies !== bodies) throw new OffTape();
    }
    return bodies.frames[tick - begin - 1];
  };
  return { ...cloneState({ ...s, bodies: null }), bodies: new TapedBodies(frameAt) };
}

/** Bodies that are stepped, and note what they did. */
class LeadingBodies implements LooseSimulation {
  readonly frames: Frame[] = [];
  constructor(private readonly bodies: LooseBodies) {}

  step(world: World, s: RunState): void {
    const surroundings = surroundingsOf(world, s).slice();
    const clear = isClear(world, s);
    this.bodies.step(world, s);
    const { dynamicPoses } = s;
    const poses = new Float64Array(world.loose.length * HALF);
    world.loose.forEach(({ drive }, i) =>
      poses.set(dynamicPoses.subarray(drive, drive + HALF), i * HALF),
    );
    const away = Uint8Array.from(world.loose, ({ piece }) => s.away[piece]);
    this.frames.push({ surroundings, clear, poses, away });
  }

  copy = (): LooseSimulation => this.bodies.copy();
  pack = (): void => this.bodies.pack();
  takeBack: LooseSimulation['takeBack'] = (...kept) => this.bodies.takeBack(...kept);
  meet: LooseSimulation['meet'] = (...met) => this.bodies.meet(...met);
}

/** Bodies that are told what others did. */
class TapedBodies implements LooseSimulation {
  constructor(private readonly frameAt: (tick: number) => Frame) {}

  step(world: World, s: RunState): void {
    const { clear, surroundings, poses, away } = this.frameAt(s.tick);
    if (!clear || !isClear(world, s) || !areAlike(surroundings, surroundingsOf(world, s))) {
      throw new OffTape();
    }
    const { dynamicPoses } = s;
    const { loose } = world;
    for (let n = 0, at = 0; n < loose.length; n++) {
      const { drive, piece } = loose[n];
      for (let i = drive; i < drive + HALF; i++) {
        dynamicPoses[i + HALF] = dynamicPoses[i];
        dynamicPoses[i] = poses[at++];
      }
      s.away[piece] = away[n];
    }
  }

  copy = (): LooseSimulation => this;
  pack(): void {}
  takeBack(): void {
    throw new OffTape();
  }
  meet(): number {
    throw new OffTape();
  }
}

/** Numbers of where a loose piece is now; as many tell where it was. */
const HALF = LOOSE_SIZE / 2;

/** Whether the runner is near nothing loose, m. */
function isClear(world: World, s: RunState): boolean {
  const body = world.bodies[s.size];
  const [x, y, z] = [s.x, s.y + centreHeight(body), s.z];
  const way = 2 * DT * Math.sqrt(s.vx * s.vx + s.vy * s.vy + s.vz * s.vz);
  const own = body.radius + body.half + way + CLEAR;
  return world.loose.every(({ at, drive, reach, piece }) => {
    if (s.away[piece]) return true;
    const dx = at[0] + s.dynamicPoses[drive] - x;
    const dy = at[1] + s.dynamicPoses[drive + 1] - y;
    const dz = at[2] + s.dynamicPoses[drive + 2] - z;
    return dx * dx + dy * dy + dz * dz > (own + reach) * (own + reach);
  });
}

/** All that what is loose goes by besides the runner and the tick: gravity, what is away, and how movers go. */
function surroundingsOf(world: World, s: RunState): Float64Array {
  const { movers, pieces, gated, numbers } = partsOf(world);
  numbers[0] = s.tick < s.gravityUntil ? s.gravityBy : 1;
  let at = 1;
  for (const piece of pieces) numbers[at++] = s.away[piece];
  for (const collider of gated) numbers[at++] = isDisabled(world, s, collider) ? 1 : 0;
  // At one tick a mover's pose follows from these.
  for (const { index, drive } of movers) {
    numbers[at++] = s.moverFrom[index];
    numbers[at++] = s.moverAt[index];
    for (let i = 0; drive >= 0 && i < DRIVEN; i++) numbers[at++] = s.dynamicPoses[drive + i];
  }
  return numbers;
}

function areAlike(a: Float64Array, b: Float64Array): boolean {
  for (let i = 0; i < a.length; i++) if (a[i] !== b[i]) return false;
  return true;
}

/** Numbers of a mover that a run itself decides on. */
const DRIVEN = 6;

/** What of a course acts on loose pieces. */
interface Parts {
  readonly movers: readonly Mover[];
  readonly pieces: readonly number[];
  /** One collider of each that a gate may take away. */
  readonly gated: readonly Collider[];
  /** Room for the surroundings of a tick, written anew at each. */
  readonly numbers: Float64Array;
}

const partsByWorld = new WeakMap<World, Parts>();
function partsOf(world: World): Parts {
  let parts = partsByWorld.get(world);
  if (!parts) {
    const acting = world.colliders.filter(
      ({ role, field }) => role === 'solid' || field?.kind === 'push',
    );
    const movers = new Set<Mover>();
    for (const { mover } of acting) {
      for (let at = mover; at >= 0 && !world.movers[at].loose; at = world.movers[at].parent) {
        movers.add(world.movers[at]);
      }
    }
    const pieces = [...new Set(acting.map(({ piece }) => piece))];
    const gated = acting.filter(({ gate }) => gate >= 0);
    const driven = [...movers].filter(({ drive }) => drive >= 0).length;
    const count = 1 + pieces.length + gated.length + 2 * movers.size + DRIVEN * driven;
    parts = { movers: [...movers], pieces, gated, numbers: new Float64Array(count) };
    partsByWorld.set(world, parts);
  }
  return parts;
}
