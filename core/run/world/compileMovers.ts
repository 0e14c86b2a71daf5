import { MOST_CARRIED, type Course, type Piece } from '../../course';
import {
  inTempo,
  isDriven,
  parseMotion,
  placeMotion,
  STILL,
  type Driven,
  type Motion,
} from '../../motion';
import { localGeometry, mayBeLoose, turnOf } from '../../pieces';
import { DRIVE_SIZE, LOOSE_SIZE, type Mover, type Movers } from './mover';

/** What turns goes within what shifts. */
const rank = ({ kind }: Motion): number =>
  kind === 'swing' || kind === 'spin' || kind === 'poses' ? 1 : 0;

const isLoose = (piece: Piece): boolean => piece.loose === true && mayBeLoose(piece);

/** Finds what moves in a course. Pieces are in order of id. */
export const compileMovers = (course: Course, pieces: readonly Piece[]): Movers =>
  new MoverCompiler(course, pieces).compile();

class MoverCompiler {
  private readonly list: Mover[] = [];
  private readonly whole: Int32Array;
  private readonly part: Int32Array;
  private readonly byId: ReadonlyMap<string, number>;
  /** Of each mover, how many carry it one on the other. */
  private readonly depths: number[] = [];
  /** Of each piece, whether it is settled. */
  private readonly done: Uint8Array;
  private dynamicPoseSize = 0;

  constructor(
    private readonly course: Course,
    private readonly pieces: readonly Piece[],
  ) {
    this.whole = new Int32Array(pieces.length).fill(-1);
    this.part = new Int32Array(pieces.length).fill(-1);
    this.done = new Uint8Array(pieces.length);
    this.byId = new Map(pieces.map(({ id }, i) => [id, i]));
  }

  compile(): Movers {
    // Whatever carries a piece is settled before it, however long the row of them is.
    const open = new Uint8Array(this.pieces.length);
    const row: number[] = [];
    for (let i = 0; i < this.pieces.length; i++) {
      for (let k = i; k >= 0 && !this.done[k] && !open[k]; k = this.hostOf(k)) {
        open[k] = 1;
        row.push(k);
      }
      for (let k = row.pop(); k !== undefined; k = row.pop()) {
        this.settle(k);
        this.done[k] = 1;
      }
    }
    const { list, whole, part, dynamicPoseSize } = this;
    return { list, whole, part, dynamicPoseSize };
  }

  /** The piece that a piece goes along with, or -1. */
  private hostOf(i: number): number {
    const piece = this.pieces[i];
    const host =
      piece.attach === undefined || isLoose(piece) ? undefined : this.byId.get(piece.attach);
    return host === undefined || host === i ? -1 : host;
  }

  /** What carries a piece by what it goes along with, or -1: of a ring, and too high up, it stays where it is. */
  private carrierOf(i: number): number {
    const host = this.hostOf(i);
    if (host < 0 || !this.done[host]) return -1;
    const carrier = this.part[host] >= 0 ? this.part[host] : this.whole[host];
    return carrier >= 0 && this.depths[carrier] >= MOST_CARRIED ? -1 : carrier;
  }

  /** Gives a piece its movers, once what carries it has its own. */
  private settle(i: number): void {
    const { course, whole, part } = this;
    const piece = this.pieces[i];
    if (isLoose(piece)) {
      whole[i] = this.add(i, [], -1, null, true);
      return;
    }
    const parent = this.carrierOf(i);
    const turn = turnOf(piece);
    const told = piece.motion ?? [];
    const driven = told.find(isDriven) ?? null;
    const motions = told.flatMap((motion) =>
      isDriven(motion)
        ? []
        : [placeMotion(inTempo(parseMotion(motion), course.tempo), turn, piece.at)],
    );
    whole[i] = motions.length > 0 || driven ? this.add(i, motions, parent, driven) : parent;
    const own = localGeometry(piece).motion;
    if (!own) return;
    const motion = placeMotion(inTempo(own, course.tempo), turn, piece.at);
    part[i] = this.add(i, [motion], whole[i], null);
  }

  private add(
    piece: number,
    motions: readonly Motion[],
    parent: number,
    driven: Driven | null,
    loose = false,
  ): number {
    const { at, wake } = this.pieces[piece];
    const index = this.list.length;
    // What is not a number is like no number it is compared with.
    const unknown = new Float64Array(loose ? LOOSE_SIZE : driven ? DRIVE_SIZE : 0).fill(NaN);
    this.list.push({
      index,
      piece,
      motions: [...motions].sort((a, b) => rank(a) - rank(b)),
      parent,
      wake: wake ?? null,
      driven,
      loose,
      drive: driven || loose ? this.dynamicPoseSize : -1,
      at,
      turn: turnOf(this.pieces[piece]),
      pose: STILL,
      before: STILL,
      reach: 0,
      cached: { now: -1, last: -1, over: STILL, overBefore: STILL, drive: unknown, of: null },
    });
    if (driven) this.dynamicPoseSize += DRIVE_SIZE;
    if (loose) this.dynamicPoseSize += LOOSE_SIZE;
    this.depths.push(parent < 0 ? 0 : this.depths[parent] + 1);
    return index;
  }
}
