import type { Course } from '../../course';
import type { Vec3 } from '../../geometry';
import { buildWorld, replay } from '../../run';
import { DrawnScene } from '../../sight';
import type { BegunRun } from '../sheet';
import { type UnfairHit, unfairHit } from './hits';
import { type Landing, landingsOf } from './landings';
import { hasCome, hazardsOf } from './onWay';
import { type NearestPass, Passes } from './passes';
import { Pictures } from './pictures';
import { LOOK_STEP, PICTURES, type PictureName, type TimeInSight, Watcher } from './seen';

/** What is told of a hazard on the way of a run. */
export interface HazardSheet {
  readonly piece: string;
  /** The tick at which the runner first came to it. */
  readonly tick: number;
  /** How long it was seen before, in each picture. */
  readonly sight: Readonly<Record<PictureName, TimeInSight>>;
  readonly nearest: NearestPass | null;
}

/** How fair a course is to a run of it. */
export interface FairSheet {
  /** The hazards on its way, in the order it came to them. */
  readonly hazards: readonly HazardSheet[];
  /** The part of the run in which the runner is not seen, in each picture. */
  readonly hidden: Readonly<Record<PictureName, number>>;
  readonly landings: readonly Landing[];
  readonly unfair: readonly UnfairHit[];
}

/** Parts of the whole that the three rounds take, about. */
const [FIRST, SECOND] = [0.15, 0.5];

/**
 * How fair a course is to a run of it: how long hazards are seen before one comes to them, how near they are passed,
 * what room jumps leave, and hits in which the pictures did not meet.
 * @param course the course as it was run
 * @param begun the run, and where it began
 * @param progress is told the part that is done, 0 to 1
 * @throws ReplayRefused when it was made on another course or by another simulation
 */
export function fairSheet(
  course: Course,
  { run, from }: BegunRun,
  progress: (part: number) => void = () => {},
): FairSheet {
  const world = buildWorld(course);
  const pictures = new Pictures(world);
  const all = hazardsOf(world);
  const passes = new Passes(world, all, pictures);
  const stops = new Array<number>(all.length).fill(-1);
  const unfair: UnfairHit[] = [];
  let last: Vec3 = [0, 0, 0];
  const { ticks } = replay(course, run, {
    world,
    from,
    after: (s) => {
      all.forEach((hazard, i) => {
        if (stops[i] < 0 && hasCome(world, s, hazard)) stops[i] = s.tick;
      });
      passes.look(s);
      last = [s.x, s.y, s.z];
    },
    heard: (s, event) => {
      const hit = unfairHit(course, world, pictures, s, event, last);
      if (hit) unfair.push(hit);
    },
  });
  progress(FIRST);
  const met = all.map((_, i) => i).filter((i) => stops[i] >= 0);
  met.sort((a, b) => stops[a] - stops[b]);
  const scene = new DrawnScene(world);
  const names = Object.keys(PICTURES) as PictureName[];
  const watchers = names.map(
    (name) =>
      new Watcher(
        course,
        world,
        scene,
        met.map((i) => all[i]),
        met.map((i) => stops[i]),
        name,
      ),
  );
  replay(course, run, {
    world,
    from,
    after: (s) => {
      if (s.tick % LOOK_STEP > 0) return;
      for (const watcher of watchers) watcher.look(s);
      if (s.tick % 240 === 0) progress(FIRST + ((SECOND - FIRST) * s.tick) / Math.max(1, ticks));
    },
  });
  const inEach = <T>(ask: (watcher: Watcher) => T) =>
    Object.fromEntries(names.map((name, i) => [name, ask(watchers[i])])) as Record<PictureName, T>;
  return {
    hazards: met.map((i, k) => ({
      piece: world.pieces[all[i].piece].id,
      tick: stops[i],
      sight: inEach((watcher) => watcher.sight(k)),
      nearest: passes.of(i),
    })),
    hidden: inEach(({ hidden }) => hidden),
    landings: landingsOf(course, world, { run, from }, (part) =>
      progress(SECOND + (1 - SECOND) * part),
    ),
    unfair,
  };
}
