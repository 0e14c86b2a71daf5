import type { Vec3 } from '../geometry';
import type { RunResult } from '../run';
import { isMishap } from './mishap';

/** Where something put an end to a try: to all of it, or to all since the last checkpoint. */
export interface RunEnd {
  readonly why: 'fall' | 'hazard' | 'crush' | 'lost' | 'left';
  /** Where it began to go wrong, m: of a fall where the runner was last no lower than a tick before. */
  readonly at: Vec3;
  /** The piece that did it, if one did. */
  readonly piece?: string;
}

/**
 * All that put an end to a run: falls, hits and being crushed, and, where it did not get to the goal, that it was
 * left; that costs no playing it again.
 */
export function endsOf({ events, path, finished }: RunResult): RunEnd[] {
  const at = (tick: number): Vec3 => [path[3 * tick], path[3 * tick + 1], path[3 * tick + 2]];
  const last = path.length / 3 - 1;
  const ends = events.filter(isMishap).map(({ kind, tick, piece }): RunEnd => {
    // In the tick itself it has been put elsewhere already.
    let from = Math.max(0, Math.min(last, tick - 1));
    if (kind === 'fall') while (from > 0 && path[3 * from + 1] < path[3 * from - 2]) from--;
    return { why: kind as RunEnd['why'], at: at(from), ...(piece === undefined ? {} : { piece }) };
  });
  return finished ? ends : [...ends, { why: 'left', at: at(last) }];
}

/** Ends that are told together. */
export interface EndsAt {
  readonly at: Vec3;
  readonly count: number;
  /** How many, as a part of where most were. */
  readonly part: number;
}

/** Nearer than this they are told together, m. */
const TOGETHER = 2;

/**
 * Ends gathered by the piece that did it, else by where it was; where most were comes first.
 * @param ends of any number of runs
 * @param middleOf the middle of a piece, m; none of one that is no more
 */
export function endsTogether(
  ends: readonly RunEnd[],
  middleOf: (piece: string) => Vec3 | undefined,
): EndsAt[] {
  const groups = new Map<string, { at: Vec3; fixed: boolean; count: number }>();
  for (const { at, piece } of ends) {
    const middle = piece === undefined ? undefined : middleOf(piece);
    const key = middle ? `piece ${piece}` : at.map((v) => Math.round(v / TOGETHER)).join(' ');
    const group = groups.get(key);
    if (!group) groups.set(key, { at: middle ?? at, fixed: middle !== undefined, count: 1 });
    else {
      group.count++;
      if (!group.fixed) group.at = towards(group.at, at, 1 / group.count);
    }
  }
  const told = [...groups.values()].sort((a, b) => b.count - a.count);
  return told.map(({ at, count }) => ({ at, count, part: count / told[0].count }));
}

const towards = (a: Vec3, b: Vec3, part: number): Vec3 => [
  a[0] + (b[0] - a[0]) * part,
  a[1] + (b[1] - a[1]) * part,
  a[2] + (b[2] - a[2]) * part,
];
