import type { Tempo } from '../course';
import { beatSeconds } from '../course';
import type { Vec3 } from '../geometry';
import { TICKS_PER_SECOND } from '../motion';
import { POINT_SIZE, type LineMark, type RunLine } from './line';

/** A jump or a landing held against the beat. */
export interface BeatHit {
  readonly kind: 'jump' | 'land';
  readonly tick: number;
  /** Where the foot was, m. */
  readonly at: Vec3;
  /** The nearest beat, 0 for the first. */
  readonly beat: number;
  /** Seconds after that beat; below nothing when early. */
  readonly late: number;
}

/** How a run keeps to the beat. */
export interface BeatSheet {
  readonly hits: readonly BeatHit[];
  /** Mean and standard deviation of how late they are, s. */
  readonly mean: number;
  readonly spread: number;
  /** The one farthest off. */
  readonly worst: BeatHit | null;
}

/** Each jump and landing of a run against the nearest beat of a tempo. */
export function beatSheet(marks: readonly LineMark[], tempo: Tempo): BeatSheet {
  const seconds = beatSeconds(tempo, 1);
  const offset = tempo.offset ?? 0;
  const hits = marks.flatMap(({ kind, tick, at }): BeatHit[] => {
    if (kind !== 'jump' && kind !== 'land') return [];
    const since = tick / TICKS_PER_SECOND - offset;
    const beat = Math.max(0, Math.round(since / seconds));
    return [{ kind, tick, at, beat, late: since - beat * seconds }];
  });
  const mean = hits.reduce((sum, { late }) => sum + late, 0) / Math.max(1, hits.length);
  const square = hits.reduce((sum, { late }) => sum + (late - mean) ** 2, 0);
  return {
    hits,
    mean,
    spread: Math.sqrt(square / Math.max(1, hits.length)),
    worst: hits.reduce<BeatHit | null>(
      (worst, hit) => (!worst || Math.abs(hit.late) > Math.abs(worst.late) ? hit : worst),
      null,
    ),
  };
}

/** Where a run was at a beat. */
export interface BeatPlace {
  readonly beat: number;
  /** Whether the bar begins with it. */
  readonly bar: boolean;
  readonly at: Vec3;
}

/** Beats in a bar where nothing is said. */
const USUAL_BAR = 4;

/** Where a run was at each beat of a tempo, from its first to the run's end. */
export function beatPlaces({ points, ticks }: RunLine, tempo: Tempo): BeatPlace[] {
  const places: BeatPlace[] = [];
  const bar = tempo.bar ?? USUAL_BAR;
  let i = 0;
  for (let beat = 0; ; beat++) {
    const tick = ((tempo.offset ?? 0) + beatSeconds(tempo, beat)) * TICKS_PER_SECOND;
    while (i < ticks.length && ticks[i] < tick) i++;
    if (i === ticks.length) return places;
    const at = placeBetween(points, ticks, i, tick);
    if (at) places.push({ beat, bar: beat % bar === 0, at });
  }
}

/** The place at a tick between a point of a line and the one before it; none where the line breaks off. */
function placeBetween(
  points: Float32Array,
  ticks: Int32Array,
  i: number,
  tick: number,
): Vec3 | null {
  const before = Math.max(0, i - 1);
  const span = ticks[i] - ticks[before];
  const part = span > 0 ? (tick - ticks[before]) / span : 0;
  const along = (axis: number) => {
    const [a, b] = [points[POINT_SIZE * before + axis], points[POINT_SIZE * i + axis]];
    return a + (b - a) * part;
  };
  const at: Vec3 = [along(0), along(1), along(2)];
  return at.every(Number.isFinite) ? at : null;
}

/** What of a tempo is moved to fit a run. */
export type BeatFit = 'offset' | 'both';

/** Slowest and fastest a tempo may be, beats a minute. */
const [SLOWEST, FASTEST] = [30, 300];
/** How often hits are given to beats anew while fitting, and from how many places of the beat that is begun. */
const [ROUNDS, BEGINNINGS] = [8, 48];

/** A pace and an offset of a beat, s. */
interface Pulse {
  readonly seconds: number;
  readonly offset: number;
}

/**
 * The tempo that the jumps and landings of a run keep to best: by least squares over their times, each given to
 * its nearest beat, again until none changes its beat; of several that are found, from all over the beat, the
 * nearest.
 *
 * @param hits at least one
 * @param tempo as it is; its beats stay when only the offset is moved
 */
export function fittedTempo(hits: readonly BeatHit[], tempo: Tempo, fit: BeatFit): Tempo {
  const times = hits.map(({ tick }) => tick / TICKS_PER_SECOND);
  const told = { seconds: beatSeconds(tempo, 1), offset: tempo.offset ?? 0 };
  let best = settled(times, told, fit);
  for (let i = 0; i < BEGINNINGS; i++) {
    const offset = (i / BEGINNINGS) * told.seconds;
    const other = settled(times, { ...told, offset }, fit);
    if (squareOff(times, other) < squareOff(times, best) - 1e-12) best = other;
  }
  return {
    ...tempo,
    ...(fit === 'both' ? { beats: Math.round((60 / best.seconds) * 1000) / 1000 } : {}),
    offset: Math.round(best.offset * 1000) / 1000,
  };
}

/** A pulse moved until the hits given to its beats give it no more to move by. */
function settled(times: readonly number[], from: Pulse, fit: BeatFit): Pulse {
  let { seconds, offset } = from;
  for (let round = 0; round < ROUNDS; round++) {
    const beats = times.map((time) => beatOf(time, { seconds, offset }));
    const line = fit === 'both' ? lineThrough(beats, times) : null;
    const next = line ? Math.min(60 / SLOWEST, Math.max(60 / FASTEST, line.slope)) : seconds;
    const at = mean(times.map((time, i) => time - beats[i] * next));
    if (next === seconds && at === offset) break;
    seconds = next;
    offset = at;
  }
  // A first beat later than a beat after the start is the same music told otherwise; none is before the start.
  while (offset >= seconds) offset -= seconds;
  return { seconds, offset: Math.max(0, offset) };
}

const beatOf = (time: number, { seconds, offset }: Pulse): number =>
  Math.max(0, Math.round((time - offset) / seconds));

const squareOff = (times: readonly number[], pulse: Pulse): number =>
  times.reduce((sum, time) => {
    const late = time - pulse.offset - beatOf(time, pulse) * pulse.seconds;
    return sum + late * late;
  }, 0);

const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length);

/** The straight line nearest to some points, by least squares; none where they lie on one beat. */
function lineThrough(xs: readonly number[], ys: readonly number[]): { slope: number } | null {
  const [mx, my] = [mean(xs), mean(ys)];
  let [along, across] = [0, 0];
  xs.forEach((x, i) => {
    along += (x - mx) ** 2;
    across += (x - mx) * (ys[i] - my);
  });
  return along > 0 ? { slope: across / along } : null;
}
