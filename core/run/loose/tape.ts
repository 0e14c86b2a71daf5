import { LOOSE_SIZE, type World } from '../world';
import { cloneState, type LooseSimulation, type RunState } from '../state';
import { areAlike, isClear, surroundingsOf } from './surroundings';
import { LooseBodies } from './loose';

// To step what is loose takes ten times as long as the rest of a tick, and to copy it longer than a hundred ticks.
// Where many runs begin from one world that waits, it does the same in all of them for as long as none comes near: it
// is stepped once, and the others are told what it did.

/** A run came near what is loose, or changed what that goes by: it has to be run with bodies of its own. */
export class OffTape extends Error {}

/** What the loose pieces did in a tick, and what they went by. */
interface Frame {
  readonly surroundings: Float64Array;
  /** Whether the runner that led was near none of them. */
  readonly clear: boolean;
  readonly poses: Float64Array;
  /** Whether all lies as it did at the two ticks before. */
  readonly rests: boolean;
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
    const rests =
      this.frames.length > 1 &&
      this.frames
        .slice(-2)
        .every((frame) => areAlike(frame.poses, poses) && areAlike(frame.away, away));
    this.frames.push({ surroundings, clear, poses, away, rests });
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
    const { clear, surroundings, poses, away, rests } = this.frameAt(s.tick);
    if (!clear || !isClear(world, s) || !areAlike(surroundings, surroundingsOf(world, s))) {
      throw new OffTape();
    }
    if (rests) return;
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
