import type { Course, Piece } from '../../course';
import type { Pose } from '../../motion';
import { STILL } from '../../motion';
import { type Clocks, layLoose, type Mover, compileMovers, poseMover, type World } from '../world';
import type { RunState } from '../state';

/** Where a moment has taken a piece: all of it, and its moving part. */
export interface PiecePoses {
  readonly whole: Pose;
  readonly part: Pose;
}

/** What of a moment the scene is drawn by. */
export type PoseLookup = (piece: string) => PiecePoses;

const AT_REST: PiecePoses = { whole: STILL, part: STILL };

const posingBy = (
  list: readonly Mover[],
  whole: Int32Array,
  part: Int32Array,
  places: ReadonlyMap<string, number>,
  clocks: Clocks,
): PoseLookup => {
  const poseOf = (mover: number) => (mover < 0 ? STILL : poseMover(list, clocks, mover).pose);
  return (id) => {
    const place = places.get(id);
    if (place === undefined) return AT_REST;
    const all = poseOf(whole[place]);
    return { whole: all, part: part[place] < 0 ? all : poseOf(part[place]) };
  };
};

/** How a run stands, for drawing it. */
export const runPosing = (world: World, s: RunState): PoseLookup =>
  posingBy(
    world.movers,
    world.pieceMovers,
    world.partMovers,
    new Map(world.pieces.map(({ id }, i) => [id, i])),
    s,
  );

/** What arrives is shown where it comes to, and what drifts by its usual speed. */
export function setUsualDrives(list: readonly Mover[], drives: Float64Array): void {
  for (const { driven, drive } of list) {
    if (driven?.kind === 'arrive') drives.fill(1, drive, drive + 6);
    if (driven?.kind === 'drift') drives.set([...driven.velocity, ...driven.velocity], drive);
  }
}

/** A course's motions played by themselves, everything awake from the start. */
export class MotionPreview {
  private readonly clocks: { tick: number } & Omit<Clocks, 'tick'>;
  readonly posing: PoseLookup;

  constructor(course: Course) {
    const { list, whole, part, dynamicPoseSize } = compileMovers(course, course.pieces);
    this.clocks = {
      tick: 0,
      moverFrom: new Int32Array(list.length),
      moverAt: new Int32Array(list.length).fill(-1),
      dynamicPoses: new Float64Array(dynamicPoseSize),
    };
    setUsualDrives(list, this.clocks.dynamicPoses);
    layLoose(list, this.clocks.dynamicPoses);
    const places = new Map(course.pieces.map(({ id }, i) => [id, i]));
    this.posing = posingBy(list, whole, part, places, this.clocks);
  }

  /** Goes to a tick. */
  to(tick: number): void {
    this.clocks.tick = tick;
  }
}

/** Pieces that may change place or come and go in a run, and so are drawn anew as it goes on. */
export function dynamicPieces(
  course: Pick<Course, 'links'> & { readonly pieces: readonly Piece[] },
): Set<string> {
  const lively = new Set<string>();
  const moves = (piece: Piece) =>
    piece.motion ||
    piece.attach ||
    piece.loose ||
    piece.breaks ||
    piece.absent ||
    piece.role === 'pickup';
  for (const piece of course.pieces) if (moves(piece)) lively.add(piece.id);
  for (const { effects } of course.links ?? []) {
    for (const { kind, pieces } of effects) {
      if (['show', 'hide', 'break', 'open', 'shut'].includes(kind)) {
        for (const id of pieces ?? []) lively.add(id);
      }
    }
  }
  return lively;
}
