import type { Course, Piece } from '../course';
import { CellLists, Cells, rotate, type Vec3 } from '../geometry';
import { contactRoles, localGeometry, pieceBounds, spansOf, turnOf } from '../pieces';

/** Metres from one place looked at to the next. */
export const PITCH = 0.5;
const CELLS = new Cells(4, true);
/** Room that somebody standing needs above, m, and by how much what they stand on may reach into it. */
const [HEADROOM, SKIN] = [1.2, 0.05];

/** Places of the grid to either side of the middle, so that each has a number. */
const SPAN = 8192;

/** A solid piece as it may stand in the way, moved by so much when it is one that moves. */
interface Standing {
  readonly spans: ReturnType<typeof spansOf>;
  readonly low: Vec3;
  readonly high: Vec3;
  readonly by: Vec3;
  readonly piece: string;
  readonly moves: boolean;
}

/** A solid over a place: from where to where, whose, and whether it moves. */
interface Solid {
  readonly low: number;
  readonly high: number;
  readonly piece: string;
  readonly moves: boolean;
}

/** What is over a place of the grid. */
interface Column {
  readonly tops: readonly number[];
  readonly solids: readonly Solid[];
}

/**
 * Where one may stand in a course: the tops of its solids, each place of a grid looked at when it is asked for.
 * What moves to and fro may be stood on where it turns and half way.
 */
export class Ground {
  private readonly cells = new CellLists<Standing>();
  private readonly wide: Standing[] = [];
  private readonly columns = new Map<number, Column>();

  constructor(course: Course) {
    for (const piece of course.pieces) {
      // What opens, breaks, is pushed or comes later does not stand in the way for good.
      const gives = piece.breaks || piece.loose || piece.absent || piece.family === 'gate';
      if (gives || !contactRoles(course, piece).includes('solid')) continue;
      const spans = lazily(() => spansOf(course, piece));
      const { low, high } = pieceBounds(piece);
      const places = placesOf(piece);
      const own = { piece: piece.id, moves: places.length > 1 };
      for (const by of places) this.put({ spans: (x, z) => spans()(x, z), low, high, by, ...own });
    }
  }

  /** Heights at which one may stand over a place of the grid, m, rising. */
  at(i: number, k: number): readonly number[] {
    return this.column(i, k).tops;
  }

  /** Whether something stands over a place of the grid that reaches from below one height to above another. */
  bars(i: number, k: number, low: number, high: number): boolean {
    return this.column(i, k).solids.some((one) => one.low < low && one.high > high && !one.moves);
  }

  private column(i: number, k: number): Column {
    const key = (i + SPAN) * 2 * SPAN + k + SPAN;
    let column = this.columns.get(key);
    if (!column) this.columns.set(key, (column = this.look(i * PITCH, k * PITCH)));
    return column;
  }

  private put(standing: Standing): void {
    const { low, high, by } = standing;
    // Where it covers more of the map than cells are counted, it is over all of them.
    const over = CELLS.over(low[0] + by[0], 0, low[2] + by[2], high[0] + by[0], 0, high[2] + by[2]);
    if (over) for (const cell of over) this.cells.put(cell, standing);
    else this.wide.push(standing);
  }

  private look(x: number, z: number): Column {
    const here = [...this.cells.in(CELLS.at(x, 0, z)), ...this.wide];
    const solids: Solid[] = [];
    for (const { spans, low, high, by, piece, moves } of here) {
      const [u, w] = [x - by[0], z - by[2]];
      if (u < low[0] || u > high[0] || w < low[2] || w > high[2]) continue;
      for (const span of spans(u, w)) {
        if (span) solids.push({ low: span[0] + by[1], high: span[1] + by[1], piece, moves });
      }
    }
    // A piece that moves is not in its own way, wherever else it may stand.
    const free = solids.filter(
      ({ high: top, piece, moves }) =>
        !solids.some(
          (one) =>
            one.high > top + SKIN && one.low < top + HEADROOM && !(moves && one.piece === piece),
        ),
    );
    const tops = [...new Set(free.map(({ high }) => high))].sort((a, b) => a - b);
    return { tops, solids };
  }
}

/** By how much a piece may stand beside its place: what slides, at both ends and half way; what stands, not at all. */
function placesOf(piece: Piece): Vec3[] {
  const places: Vec3[] = [[0, 0, 0]];
  const turn = turnOf(piece);
  const { motion } = localGeometry(piece);
  if (motion?.kind === 'slide') {
    const far = rotate(turn, motion.travel);
    places.push(far, [far[0] / 2, far[1] / 2, far[2] / 2]);
  }
  for (const own of piece.motion ?? []) {
    if (own.kind === 'path') for (const point of own.points) places.push(rotate(turn, point));
  }
  return places;
}

function lazily<T>(make: () => T): () => T {
  let made: T | undefined;
  return () => (made ??= make());
}
