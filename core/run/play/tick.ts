import { centreHeight, DT, type World } from '../world';
import {
  beginPath,
  type Emit,
  FieldIndex,
  type Input,
  newPath,
  NO_INPUT,
  type Trajectory,
  type RunState,
  type EmitEvent,
  eventEmitter,
  tideOf,
} from '../state';
import {
  type Acted,
  applyField,
  resetField,
  respawn,
  sensorHits,
  signedDistance,
} from '../contact';
import { LooseBodies } from '../loose';
import {
  gravityOf,
  leaveGround,
  moveWithPlatform,
  resolvePushers,
  setAlong,
  tickRunner,
  upOf,
} from '../move';
import {
  actOnLinks,
  breakPiece,
  stepFollowers,
  clearEvents,
  type TickEvents,
  hurtByCopy,
  hurtByPiece,
  onSensor,
  nothingHappened,
  triggerCrumble,
  stepProjectiles,
  wakeMovers,
  wakeTouched,
  watchPiece,
  watchRound,
} from '../rules';

const path = newPath();
const heard = nothingHappened();

/** Ticks after which something not touched since counts as touched anew. */
const ANEW = 12;

/**
 * Moves a run on by one tick of 1/120 s: the movers first, then what is thrown, then the runner, what it
 * met, and what follows from that. Changes `s`; the same world, state and input always give the same bits.
 * @param world the course made ready
 * @param s the run’s state, which it changes
 * @param input what the controls stand at
 * @param emit is told what happened
 */
export function tick(world: World, s: RunState, input: Input, emit: Emit): void {
  if (s.finish >= 0 || s.over) return;
  const say = eventEmitter(world, s, emit);
  if (s.tick === 0) emit({ kind: 'start', tick: 0, time: 0, x: s.x, y: s.y, z: s.z });
  s.tick++;
  step(world, s, input, say);
  if (world.limit > 0 && s.tick >= world.limit && s.finish < 0 && !s.over) {
    s.over = true;
    say('time-up');
  }
}

/** What a tick does, up to whatever ends it early. */
function step(world: World, s: RunState, input: Input, say: EmitEvent): void {
  const told = s.rest > 0 || s.tick < s.stillUntil ? NO_INPUT : input;
  if (s.rest > 0) s.rest--;
  const { links } = world;
  const { touching } = s;
  touching.count = 0;
  const happened = isWatched(world) ? clearEvents(heard) : null;

  stepPieces(world, s);
  beginPath(path, s.x, s.y, s.z);
  if (s.ground >= 0) moveWithPlatform(world, s, path);
  const crusher = world.movers.length > 0 ? resolvePushers(world, s, path) : -1;
  if (crusher >= 0) {
    say('crush', 1, world.colliders[crusher].piece);
    respawn(world, s, say);
    return;
  }
  const thrown = world.emitters.length > 0 ? stepProjectiles(world, s) : -1;

  tickRunner(world, s, told, path, say);
  if (isLost(s, path)) {
    lose(s, path, say);
    return;
  }
  if (s.ground >= 0) feel(world, s, say);
  if (world.roundOff > 0) watchRound(world, s);
  // Everything that ends a tick early comes after this; the regions' work is for the next one.
  const hurtBy = sense(world, s, path, happened, say);
  if (hurtBy === 'ended') return;
  if (thrown >= 0 && hurtByCopy(world, s, thrown, say)) return;
  if (happened) touched(world, s, happened, say);
  if (happened && links.length > 0 && actOnLinks(world, s, happened, say)) return;
  comeToHarm(world, s, hurtBy, say);
}

/** True where something waits for what happens; else nothing of it is noted. */
const isWatched = ({ links, breaking, triggeredMovers }: World): boolean =>
  links.length > 0 || breaking || triggeredMovers.length > 0;

/** Counts a mishap at the end of a tick, and sends the runner back. */
function comeToHarm(world: World, s: RunState, harm: Harm, say: EmitEvent): void {
  const mishap = harm === 'hurt' && !world.unharmed ? 'hazard' : fallen(s, harm) ? 'fall' : null;
  if (mishap === null) return;
  say(mishap);
  s.falls++;
  respawn(world, s, say);
}

/** Moves on what moves by itself: movers, what follows the runner, and what lies loose. */
function stepPieces(world: World, s: RunState): void {
  if (world.triggeredMovers.length > 0) wakeMovers(world, s);
  if (world.runnerDriven.length > 0) stepFollowers(world, s);
  if (s.size !== 0 && s.tick > s.sizeUntil) s.size = 0;
  if (world.loose.length > 0) (s.bodies ??= LooseBodies.of(world, s)).step(world, s);
}

/** The harm that a region does to whoever stands in it. */
type Harm = 'hurt' | 'fall' | null;

const fallen = (s: RunState, hurtBy: Harm): boolean =>
  hurtBy === 'fall' || s.y < tideOf(s) || beyond(s);

/** Faster than anything in a course can make a runner that still gets anywhere, m/s. */
const MOST_SPEED = 1000;

/** Whether the runner is nowhere any more, or was taken along faster than any course can: no run goes on so. */
function isLost({ x, y, z, vx, vy, vz }: RunState, { points }: Trajectory): boolean {
  const dx = x - points[0];
  const dy = y - points[1];
  const dz = z - points[2];
  const way = dx * dx + dy * dy + dz * dz;
  const speed = vx * vx + vy * vy + vz * vz;
  // What is no number is not below anything either.
  return !(way <= MOST_SPEED * MOST_SPEED * DT * DT && speed <= MOST_SPEED * MOST_SPEED);
}

/** Ends the attempt where the tick found the runner. */
function lose(s: RunState, { points }: Trajectory, say: EmitEvent): void {
  [s.x, s.y, s.z] = points;
  s.vx = 0;
  s.vy = 0;
  s.vz = 0;
  s.over = true;
  say('lost');
}

/** How far the runner may get from every piece before it counts as lost, m. */
const LOST = 4000;
const beyond = (s: RunState): boolean =>
  !(Math.abs(s.x) < LOST && Math.abs(s.z) < LOST && s.y < LOST);

/** What the ground does: it may give way, or throw the runner up. */
function feel(world: World, s: RunState, say: EmitEvent): void {
  triggerCrumble(world, s);
  const throws = world.colliders[s.ground].surface?.throws ?? 0;
  // A board throws as high as it says, whatever pulls back.
  const bounce = Math.max(Math.sqrt(2 * gravityOf(s) * throws), s.field[FieldIndex.bounce]);
  if (bounce === 0) return;
  leaveGround(world, s);
  setAlong(s, upOf(s), bounce);
  s.coyote = 0;
  s.rising = false;
  s.air = ANEW;
  say('bounce');
}

/** The runner in a field; filled anew for each, so that regions make no garbage. */
const acted: Acted = { field: new Float64Array(0), x: 0, y: 0, z: 0 };

/** Acts on what was met along the way, and finds which regions the runner is in. */
function sense(
  world: World,
  s: RunState,
  way: Trajectory,
  happened: TickEvents | null,
  say: EmitEvent,
): Harm | 'ended' {
  if (s.portal >= 0 && s.tick - s.portalTick > 1) s.portal = -1;
  resetField(world, s);
  let done: Harm = null;
  for (const { collider, timeOfImpact, normal } of sensorHits(world, s, way)) {
    const { piece, role } = collider;
    if (happened) noteTouch(world, s, piece, happened);
    if (role === 'region') {
      const body = world.bodies[s.size];
      if (signedDistance(world, s, body, collider, s).distance >= 0) continue;
      acted.field = s.field;
      acted.x = s.x;
      acted.y = s.y + centreHeight(body);
      acted.z = s.z;
      done = applyField(world, s, collider, acted) ?? done;
      continue;
    }
    const reached = s.checkpoint;
    if (role === 'hazard') {
      if (hurtByPiece(world, s, collider, timeOfImpact, normal, say)) return 'ended';
      continue;
    }
    if (onSensor(world, s, collider, timeOfImpact, say)) return 'ended';
    if (happened) {
      if (role === 'pickup') happened.gathered = true;
      if (role === 'checkpoint' && s.checkpoint !== reached) happened.checkpoints.push(piece);
    }
  }
  return done;
}

function noteTouch(world: World, s: RunState, piece: number, happened: TickEvents): void {
  if (world.watchedByLinks[piece]) watchPiece(s, piece);
  if (s.tick - s.touched[piece] > ANEW) happened.touched.push(piece);
  s.touched[piece] = s.tick;
}

/** What follows from solids being touched: they break, wake, and give their cue. */
function touched(world: World, s: RunState, happened: TickEvents, say: EmitEvent): void {
  const { count, pieces, speeds } = s.touching;
  for (let i = 0; i < count; i++) {
    const piece = pieces[i];
    const anew = s.tick - s.touched[piece] > ANEW;
    noteTouch(world, s, piece, happened);
    const { breaks } = world.pieces[piece];
    if (breaks && s.away[piece] === 0) {
      if (anew) s.hits[piece]++;
      const fast = breaks.speed !== undefined && speeds[i] >= breaks.speed;
      if (fast || (breaks.touches !== undefined && s.hits[piece] >= breaks.touches)) {
        breakPiece(world, s, piece, happened, say);
        if (s.ground >= 0 && world.colliders[s.ground].piece === piece) leaveGround(world, s);
      }
    }
  }
  if (world.triggeredMovers.length > 0) {
    for (const piece of happened.touched) wakeTouched(world, s, piece);
    for (let i = 0; i < count; i++) wakeTouched(world, s, pieces[i]);
  }
}
