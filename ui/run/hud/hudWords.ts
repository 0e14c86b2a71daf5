import { effortOf } from '../finish/effort';
import { TICKS_PER_SECOND } from '@/core/motion';
import type { Course } from '@/core/course';
import { missingCheckpoint, missingPickups, roundsOf, splitsOf } from '@/core/run';
import { runTime, strokesText, timeGap } from '../../parts';
import type { LiveRun } from '../liveRun';
import type { Best } from '../finish/finished';

/** Seconds a word over the scene stays to be read. */
const SHOWN = 4;

export interface Word {
  readonly words: string;
  readonly good: boolean;
}

/** The last thing worth a word: a split against the best, a round, a fall, a shut goal. */
export function latestWord(live: LiveRun, best: Best | undefined): Word | null {
  const { events, state } = live;
  for (let i = events.length - 1; i >= 0; i--) {
    if (state.tick / TICKS_PER_SECOND - events[i].time > SHOWN) return null;
    const word = wordOf(live, best, i);
    if (word) return word;
  }
  return null;
}

function wordOf(live: LiveRun, best: Best | undefined, i: number): Word | null {
  const { events, state, world } = live;
  const event = events[i];
  switch (event.kind) {
    case 'checkpoint':
      return splitWord(live, best, i);
    case 'lap':
      return roundWord(live, best, i);
    case 'message':
      return { words: event.text ?? '', good: true };
    case 'shut':
      return { words: whatIsMissing(live, event.piece), good: false };
    case 'missed':
      return { words: `Checkpoint ${missingCheckpoint(world, state)} comes first`, good: false };
    case 'leg':
      return { words: `Leg ${state.leg} done at ${runTime(event.time)}`, good: true };
    case 'loop':
      return { words: `Links ${event.text} bring each other about`, good: false };
    case 'break':
      return { words: 'Broken', good: true };
    case 'switch':
      return { words: 'A gate opens', good: true };
    case 'hazard':
      return { words: 'Hurt', good: false };
    case 'crush':
      return { words: 'Crushed', good: false };
    case 'fall':
      return { words: 'Into the tide', good: false };
    case 'lost':
      return { words: 'Lost: thrown out of the course', good: false };
    default:
      return null;
  }
}

/** A split, against the same checkpoint of the same round of the best run. */
function splitWord(live: LiveRun, best: Best | undefined, i: number): Word {
  const event = live.events[i];
  const split = splitsOf(live.events.slice(0, i + 1), (id) => numberOf(live, id)).pop()!;
  const other = best?.splits.find(
    ({ piece, round }) => piece === split.piece && round === split.round,
  );
  const where = `at checkpoint ${split.number}`;
  if (!other) return { words: `${runTime(event.time)} ${where}`, good: true };
  const gap = event.time - other.time;
  return { words: `${timeGap(gap)} ${where}`, good: gap <= 0 };
}

const numberOf = ({ world }: LiveRun, id: string): number =>
  world.checkpoints.find(({ piece }) => world.pieces[piece].id === id)?.number ?? 0;

/** A round that is done, against the best one so far: of this run or of the best. */
function roundWord(live: LiveRun, best: Best | undefined, i: number): Word {
  const rounds = roundsOf(live.events.slice(0, i + 1));
  const took = rounds[rounds.length - 1];
  const others = [...rounds.slice(0, -1), ...(best?.rounds ?? [])];
  const words = `Round ${rounds.length} in ${runTime(took)}`;
  if (others.length === 0) return { words, good: true };
  const gap = took - Math.min(...others);
  return { words: `${words} (${timeGap(gap)})`, good: gap <= 0 };
}

/** What is counted beside the time: the round, the leg, strokes, time in the zone, the worth gathered. */
export function tallyOf({ state, world, events }: LiveRun, course: Course): string[] {
  const lines: string[] = [];
  if (world.kind === 'laps') {
    const round = Math.min(state.lap + 1, world.laps);
    const rounds = roundsOf(events);
    const last = rounds[rounds.length - 1];
    lines.push(`Round ${round} of ${world.laps}`);
    if (last !== undefined) {
      lines.push(`Last ${runTime(last)}, best ${runTime(Math.min(...rounds))}`);
    }
  }
  const strokes = effortOf(course) === 'stroke';
  if (world.legs > 0) {
    const leg = Math.min(state.leg, world.legs - 1);
    const par = course.legs?.[leg]?.par;
    const own = strokes
      ? `, ${strokesText(state.jumps - state.legJumps)}${par ? `, par ${par}` : ''}`
      : '';
    lines.push(`Leg ${leg + 1} of ${world.legs}${own}`);
  } else if (strokes) lines.push(strokesText(state.jumps));
  if (world.kind === 'hold') {
    const held = Math.min(state.held, world.holdTicks) / TICKS_PER_SECOND;
    lines.push(`Held ${held.toFixed(1)} of ${(world.holdTicks / TICKS_PER_SECOND).toFixed(0)} s`);
  }
  const counted = world.pieces.some(
    ({ worth, family }) => worth !== undefined || family === 'tally',
  );
  if (counted || Math.abs(state.worth - state.gatheredCount) > 0.5) {
    lines.push(`Worth ${Math.floor(state.worth)}`);
  }
  return lines;
}

/** What a shut goal still waits for, in words. */
function whatIsMissing({ state, world }: LiveRun, piece: string | undefined): string {
  const checkpoint = missingCheckpoint(world, state);
  if (checkpoint >= 0) return `Checkpoint ${checkpoint} was missed`;
  const place = world.pieces.findIndex(({ id }) => id === piece);
  const lock = world.gates[world.pieceGates[place]];
  if (lock?.kind === 'barred' && lock.opens === 'worth') {
    return `Worth ${Math.ceil(lock.amount - (state.worth - state.legWorth))} still missing`;
  }
  if (lock?.kind === 'barred' && lock.opens === 'link') return 'Shut until something opens it';
  const missing =
    lock?.kind === 'barred' && lock.opens === 'count'
      ? lock.amount - (state.gatheredCount - state.legGathered)
      : missingPickups(world, state);
  return `${missing} ${missing === 1 ? 'shell' : 'shells'} still missing`;
}
