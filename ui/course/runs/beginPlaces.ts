import type { Course } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import { TICKS_PER_SECOND } from '@/core/motion';
import { checkpointNumber, familyOf, markOf } from '@/core/pieces';
import { facingAlong, firstTicks, laneOf, type RunFrom } from '@/core/run';
import type { Beginning } from '../../run/liveRun';
import type { BeginPlace } from '../../run/runProps';
import { CARRY_WORDS, fromMoment, type KeptMoment } from '../../state/moments';
import type { KnownRun } from './runsKnown';

/** How one begins at a checkpoint: as the last run that came by it was there; where none did, at its place. */
export function atCheckpoint(id: string, at: RunFrom, runs: readonly KnownRun[]): Beginning {
  for (const { run, from, parts } of runs) {
    const part = parts.find(({ key }) => key.startsWith(`${id} `));
    if (!part) continue;
    // A tick later it has been passed.
    const ticks = Math.ceil(part.at * TICKS_PER_SECOND) + 1;
    return { kind: 'moment', run: firstTicks(run, ticks), from };
  }
  return { kind: 'place', at };
}

/** What is known of a course that an attempt may begin by. */
interface Known {
  readonly course: Course;
  /** The runs of it, the latest first. */
  readonly runs: readonly KnownRun[];
  /** The moments kept of it, in the order they come on the way. */
  readonly moments: readonly KeptMoment[];
  /** Where a run from the view begins, if anywhere. */
  readonly spot: RunFrom | null;
  /** Places that the way leads through in order, m. */
  readonly way: readonly Vec3[];
}

/**
 * Where an attempt may begin besides the start: at the spot in view, each checkpoint, each moment that was kept.
 * @param known the course and what is known of it
 * @param onDrop lets go of a moment
 */
export function beginPlaces(
  { course, runs, moments, spot, way }: Known,
  onDrop: (at: number) => void,
): BeginPlace[] {
  const lane = laneOf(course);
  const cairns = course.pieces
    .filter((piece) => markOf(piece) === 'checkpoint')
    .sort((a, b) => checkpointNumber(a) - checkpointNumber(b));
  return [
    ...(spot
      ? [{ key: 'spot', name: 'The spot in view', beginning: { kind: 'place', at: spot } as const }]
      : []),
    ...cairns.map((piece): BeginPlace => {
      const beginning = atCheckpoint(piece.id, facingAlong(piece.at, way, lane), runs);
      return {
        key: piece.id,
        name: piece.name ?? `${familyOf(piece.family).label} ${checkpointNumber(piece)}`,
        note: beginning.kind === 'moment' ? 'As your last run came by' : undefined,
        beginning,
      };
    }),
    ...moments.map((moment): BeginPlace => {
      const how = fromMoment(course, moment);
      const drop = { onDrop: () => onDrop(moment.at) };
      const named = { key: `moment-${moment.at}`, name: moment.name, ...drop };
      return typeof how === 'string'
        ? { ...named, note: CARRY_WORDS[how] }
        : {
            ...named,
            note: how.kind === 'moment' ? 'Kept moment' : 'Kept moment, on the course as it is now',
            beginning: how,
          };
    }),
  ];
}

/** What a moment is called: by the mark passed last, and when it was. */
export function momentName(course: Course, passed: string | null, seconds: number): string {
  const piece = course.pieces.find(({ id }) => id === passed);
  const place = piece
    ? `After ${piece.name ?? `${familyOf(piece.family).label.toLowerCase()} ${checkpointNumber(piece)}`}`
    : 'After the start';
  return `${place}, ${seconds.toFixed(1)} s`;
}
