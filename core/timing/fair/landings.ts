import { chordOf, facetedBall, mapPoints, planesOf, type Vec3 } from '../../geometry';
import { applyPose, STILL } from '../../motion';
import {
  beginningOfRun,
  cloneState,
  type Collider,
  DT,
  poseMover,
  type RunEvent,
  type RunState,
  tick,
  type World,
} from '../../run';
import type { Course } from '../../course';
import type { BegunRun } from '../sheet';
import { isMishap } from '../mishap';
import { inputAt, type Pressed, pressedOf } from '../pressed';
import { widest } from '../widest';
import { type Press, pressesOf, withMoved } from '../steady';

/** How much room a jump leaves. */
export interface Landing {
  /** The ticks of the press and of the landing. */
  readonly press: number;
  readonly tick: number;
  /** Where the foot came down, m, and on what. */
  readonly at: Vec3;
  readonly piece: string;
  /** By how many ticks the press may come earlier and later and one still lands there first. */
  readonly early: number;
  readonly late: number;
  /**
   * Metres of the top of what it landed on behind the foot and ahead of it, along the flight; below nothing where
   * the foot came down beside it, on its edge.
   */
  readonly short: number;
  readonly long: number;
}

/** Most ticks a press is tried early or late. */
const MOST = 60;
/** Longest flight that is followed, ticks. */
const FLIGHT = 600;
/** How deep under the surface its extent is measured, m. */
const UNDER = 0.01;
/** Farther than this its extent is not told, m. */
const FAR = 100;

/** The first landing after a press. */
interface Landed {
  readonly tick: number;
  readonly collider: number;
  readonly state: RunState;
  /** Where the foot came down, within the tick, m. */
  readonly at: Vec3;
  /** Horizontal way of the flight, of length 1. */
  readonly along: readonly [number, number];
}

/**
 * The room that each jump of a run leaves: its press and release are moved together, the pads stay as they were.
 * @param course the course as it was run
 * @param world the course made ready
 * @param begun the run, and where it began
 * @param progress is told the part that is done, 0 to 1
 */
export function landingsOf(
  course: Course,
  world: World,
  { run, from }: BegunRun,
  progress: (part: number) => void = () => {},
): Landing[] {
  const pressed = pressedOf(run);
  const presses = pressesOf(pressed);
  const { state } = beginningOfRun(course, world, run, from);
  const landings: Landing[] = [];
  presses.forEach((press, which) => {
    playOn(world, state, pressed, Math.max(state.tick, press.on - MOST - 1));
    const landing = landingOf(world, state, pressed, presses, which);
    if (landing) landings.push(landing);
    progress((which + 1) / presses.length);
  });
  return landings;
}

function landingOf(
  world: World,
  from: RunState,
  pressed: Pressed,
  presses: readonly Press[],
  which: number,
): Landing | null {
  const landed = (by: number) =>
    firstLanding(world, from, withMoved(pressed, presses, which, by), presses[which].on + by);
  const own = landed(0);
  if (!own) return null;
  const c = world.colliders[own.collider];
  const same = (by: number) => {
    const other = landed(by);
    return other !== null && world.colliders[other.collider].piece === c.piece;
  };
  return {
    press: presses[which].on,
    tick: own.tick,
    at: own.at,
    piece: world.pieces[c.piece].id,
    early: widest(MOST, (by) => presses[which].on - by >= from.tick && same(-by)),
    late: widest(MOST, same),
    ...footing(world, own, c),
  };
}

/** Where one comes down first after leaving the ground from a tick on; null where something goes wrong before. */
function firstLanding(world: World, from: RunState, pressed: Pressed, on: number): Landed | null {
  const s = cloneState(from);
  let well = true;
  let jumped = false as boolean;
  const heard = (event: RunEvent) => {
    if (isMishap(event) || event.kind === 'respawn' || event.kind === 'portal') well = false;
    if (event.kind === 'jump') jumped = true;
  };
  let left: readonly [number, number] | null = null;
  const end = Math.min(pressed.x.length, on + FLIGHT);
  while (s.tick < end && s.finish < 0 && !s.over) {
    const { x, y, z, vy } = s;
    tick(world, s, inputAt(pressed, s.tick), heard);
    if (!well) return null;
    if (s.tick <= on) continue;
    if (s.ground < 0) left ??= [s.x, s.z];
    else if (left && jumped) {
      const [dx, dz] = [s.x - left[0], s.z - left[1]];
      const l = Math.sqrt(dx * dx + dz * dz);
      const along = l > 0 ? ([dx / l, dz / l] as const) : ([1, 0] as const);
      // The part of the tick after which it was down; the rest of it goes along the ground.
      const part = Math.min(1, Math.max(0, (s.y - y) / ((vy - world.gravity * DT) * DT)));
      const at: Vec3 = [x + (s.x - x) * part, s.y, z + (s.z - z) * part];
      return { tick: s.tick, collider: s.ground, state: s, at, along };
    }
  }
  return null;
}

function playOn(world: World, s: RunState, pressed: Pressed, until: number): void {
  while (s.tick < until && s.finish < 0 && !s.over)
    tick(world, s, inputAt(pressed, s.tick), () => {});
}

/** How far the top of what was landed on reaches behind the foot and ahead of it, along the flight. */
function footing(
  world: World,
  { state, at: [x, , z], along: [ux, uz] }: Landed,
  { form, mover }: Collider,
): Pick<Landing, 'short' | 'long'> {
  const pose = mover < 0 ? STILL : poseMover(world.movers, state, mover).pose;
  const bare = form.kind === 'ball' ? facetedBall(form.centre, form.radius) : form.solid;
  const planes = planesOf(mapPoints(bare, (p) => applyPose(pose, p)));
  const round = form.kind === 'ball' ? 0 : (form.round ?? 0) * pose.size;
  for (let i = 3; i < planes.length; i += 4) planes[i] += round;
  let top = 0;
  for (let i = 4; i < planes.length; i += 4) if (planes[i + 1] > planes[top + 1]) top = i;
  // Just under its top, over the place the foot is at.
  const [nx, ny, nz] = [planes[top], planes[top + 1], planes[top + 2]];
  const height = (px: number, pz: number) => (planes[top + 3] - UNDER - nx * px - nz * pz) / ny;
  const ahead: Vec3 = [x + ux, height(x + ux, z + uz), z + uz];
  const chord = chordOf(planes, [x, height(x, z), z], ahead, -FAR, FAR);
  return chord ? { short: -chord[0], long: chord[1] } : { short: 0, long: 0 };
}
