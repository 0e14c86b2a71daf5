import { composePoses, type Motion, type Pose, poseAt, STILL } from '../motion';
import { CUE_TRAITS, cueInterval, type Course, type EffectKind } from '../course';
import type { World } from '../run';

/** The motions of a mover, by its place in the world, and of what carries it; none of none. */
export function motionsOver(world: World, mover: number): Motion[] {
  const motions: Motion[] = [];
  for (let at = mover; at >= 0; at = world.movers[at].parent)
    motions.push(...world.movers[at].motions);
  return motions;
}

/** Whether a mover, and all that carries it, goes by a clock and by nothing that a run decides. */
export function goesByClock(world: World, mover: number): boolean {
  for (let at = mover; at >= 0; at = world.movers[at].parent) {
    const { driven, loose } = world.movers[at];
    if (driven || loose) return false;
  }
  return true;
}

/** The pose of a mover that goes by a clock when that, and the clock of all that carries it, has got to a tick. */
export function poseOnClock(world: World, mover: number, tick: number): Pose {
  if (mover < 0) return STILL;
  const { motions, parent } = world.movers[mover];
  return motions.reduce(
    (pose, motion) => composePoses(pose, poseAt(motion, tick)),
    poseOnClock(world, parent, tick),
  );
}

/** What links do that takes a piece out of the way, and what puts it there again. */
const TAKES: ReadonlySet<EffectKind> = new Set(['hide', 'open', 'break']);
const PUTS: ReadonlySet<EffectKind> = new Set(['show', 'shut']);

/** How a piece that comes and goes does so. */
export interface Comings {
  /** Whether it is there and gone over a clock that comes round, or by what happens once. */
  readonly clock: 'round' | 'once';
  /** The seconds between two times at which a link changes it, of a clock that comes round. */
  readonly periods: readonly number[];
}

/** The pieces that links show, hide, open, shut or break, or that a switch opens for a time, by their places in the world. */
export function comingsOf({ links = [] }: Course, world: World): ReadonlyMap<number, Comings> {
  const placeOf = new Map(world.pieces.map(({ id }, place) => [id, place]));
  const changes = new Map<number, Change[]>();
  for (const link of links) {
    for (const { kind, pieces = [], seconds } of link.effects) {
      if (!TAKES.has(kind) && !PUTS.has(kind)) continue;
      for (const id of pieces) {
        const place = placeOf.get(id);
        if (place === undefined) continue;
        // Only a gate shuts again by itself.
        const isOver = kind === 'open' && seconds !== undefined && world.pieceGates[place] >= 0;
        changes.set(place, [...(changes.get(place) ?? []), { link, kind, isOver }]);
      }
    }
  }
  const comings = new Map<number, Comings>();
  for (const [place, all] of changes) {
    const round = all.every((change) => comesRound(change, all));
    const periods = all.map(({ link }) => secondsBetween(link, world));
    comings.set(place, round ? { clock: 'round', periods } : ONCE);
  }
  const shutting = new Set(
    [...world.switches.values()].flatMap((one) => (one.shuts ? one.gates : [])),
  );
  world.pieceGates.forEach((gate, place) => {
    if (shutting.has(gate)) comings.set(place, ONCE);
  });
  return comings;
}

const ONCE: Comings = { clock: 'once', periods: [] };

/** What a link does to one piece. */
interface Change {
  readonly link: NonNullable<Course['links']>[number];
  readonly kind: EffectKind;
  /** Whether it is over by itself. */
  readonly isOver: boolean;
}

/** Seconds between two times at which a link on a clock acts. */
const secondsBetween = ({ cue }: Change['link'], { beat }: World): number =>
  cueInterval(cue, beat.seconds);

/** Whether a change comes again and again, and is over by itself or taken back as regularly. */
const comesRound = ({ link, kind, isOver }: Change, all: readonly Change[]): boolean =>
  isRegular(link) &&
  (isOver ||
    all.some((other) => isRegular(other.link) && TAKES.has(other.kind) !== TAKES.has(kind)));

/** Whether a link acts every so many beats or seconds, for as long as the run lasts. */
const isRegular = ({ cue, once, chance }: Change['link']): boolean =>
  CUE_TRAITS[cue.kind].every !== undefined && !once && chance === undefined;
