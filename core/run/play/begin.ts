import { FOREVER, layLoose, type World } from '../world';
import {
  PROJECTILE_SIZE,
  FIELD_SIZE,
  LINK_SIZE,
  nothingTouched,
  type RunState,
  SKIN,
} from '../state';
import { resetField, standClear } from '../contact';
import { startDrives } from '../rules';

const NEVER = -1_000_000;

/**
 * A fresh state, standing at the world's start.
 * @param seed what all chance in the run comes from
 * @param start which start of several it begins each leg at, from 0
 */
export function initialState(world: World, seed = 0, start = 0): RunState {
  const spot = world.starts[0][start % world.starts[0].length];
  const s: RunState = {
    tick: 0,
    x: spot.at[0],
    y: spot.at[1] + SKIN,
    z: world.lane ?? spot.at[2],
    vx: 0,
    vy: 0,
    vz: 0,
    heading: spot.heading,
    fx: spot.ahead[0],
    fy: 0,
    fz: spot.ahead[2],
    size: 0,
    ground: -1,
    gx: 0,
    gy: 1,
    gz: 0,
    baseY: spot.at[1],
    air: 0,
    press: world.gravity,
    coyote: 0,
    buffer: 0,
    jumpHeld: false,
    rising: false,
    airJumps: 0,
    wallTick: NEVER,
    wallX: 0,
    wallZ: 0,
    drop: -1,
    dropTick: NEVER,
    checkpoint: -1,
    passed: new Uint8Array(world.checkpoints.length),
    gathered: new Int32Array(world.pickups.length),
    gatheredCount: 0,
    rest: 0,
    falls: 0,
    jumps: 0,
    worth: 0,
    lap: 0,
    leg: 0,
    start,
    legTick: 0,
    legJumps: 0,
    legs: new Int32Array(2 * world.legs),
    legGathered: 0,
    legWorth: 0,
    held: 0,
    heldTick: NEVER,
    offGoal: false,
    gates: new Int32Array(world.gates.length).fill(-1),
    away: Uint8Array.from(world.pieces, ({ absent }) => (absent ? 1 : 0)),
    touched: new Int32Array(world.pieces.length).fill(NEVER),
    watched: [],
    pairs: new Int32Array(2 * world.pairs).fill(-1),
    hits: new Int16Array(world.breaking ? world.pieces.length : 0),
    moverFrom: Int32Array.from(world.movers, ({ wake }) => (wake ? -1 : 0)),
    moverAt: new Int32Array(world.movers.length).fill(-1),
    dynamicPoses: new Float64Array(world.dynamicPoseSize),
    throws: new Int32Array(world.emitters.length),
    projectiles: new Float64Array(PROJECTILE_SIZE * world.maxProjectiles).fill(-1),
    field: new Float64Array(FIELD_SIZE),
    gravityBy: 1,
    gravityUntil: 0,
    speedBy: 1,
    speedUntil: 0,
    sizeUntil: 0,
    stillUntil: 0,
    slowUntil: 0,
    links: new Int32Array(LINK_SIZE * world.links.length),
    due: FOREVER,
    tideFrom: world.tide,
    tideTo: world.tide,
    tideTick: 0,
    tideTicks: 0,
    thrownBy: -1,
    thrownTick: NEVER,
    portal: -1,
    portalTick: -1,
    mouths: new Uint8Array(world.portals.length),
    shutTick: NEVER,
    bodies: null,
    seed,
    finish: -1,
    over: false,
    snapshot: null,
    touching: nothingTouched(),
  };
  for (let i = 0; i < world.links.length; i++) s.links[i * LINK_SIZE + 2] = -1;
  resetField(world, s);
  startDrives(world, s);
  layLoose(world.movers, s.dynamicPoses);
  standClear(world, s);
  return s;
}
