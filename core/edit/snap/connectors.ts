import type { Course, Piece } from '../../course';
import {
  Cells,
  distance,
  frameAt,
  type Matrix3,
  multiply,
  rotate,
  shortestAngle,
  sub,
  transpose,
  type Vec3,
} from '../../geometry';
import { localGeometry, toWorld, turnOf, type Socket } from '../../pieces';
import { PersistentGrid, incrementalIndex, type Difference } from '../lookup/persistentGrid';
import { turnOfMatrix } from '../pieces/images';
import type { PieceInHand } from '../pieces/lay';
import { setTurn, roundToStored } from '../pieces/place';

/** An end of a laid piece in the world. */
export interface Connector {
  readonly piece: string;
  readonly index: number;
  readonly kind: Socket['kind'];
  readonly at: Vec3;
  /** The way out of the end: columns ahead, up, right. */
  readonly turn: Matrix3;
}

const endsByPiece = new WeakMap<Piece, Connector[]>();

/** The ends of a piece where it stands. */
export function endsOf(piece: Piece): Connector[] {
  let known = endsByPiece.get(piece);
  if (!known) {
    const place = toWorld(piece);
    const turn = turnOf(piece);
    known = localGeometry(piece).sockets.map((socket, index) => ({
      piece: piece.id,
      index,
      kind: socket.kind,
      at: place(socket.at),
      turn: multiply(turn, frameAt(socket.at, socket.heading, socket.pitch ?? 0).turn),
    }));
    endsByPiece.set(piece, known);
  }
  return known;
}

/** Ends nearer than this are joined, m. */
const JOINED = 1e-3;
const CELLS = new Cells(2);

const celled = (pieces: readonly Piece[]) =>
  pieces.flatMap(endsOf).map((end) => [CELLS.at(...end.at), end] as const);

/** The ends of a course, to be found by where they are. */
export class EndIndex {
  private opened: Connector[] | null = null;

  constructor(private readonly cells: PersistentGrid<Connector>) {}

  changed({ gone, come }: Difference): EndIndex {
    return new EndIndex(this.cells.changed(celled(gone), celled(come)));
  }

  /** The ends within a distance of a place, the nearest first. */
  near(p: Vec3, reach: number): Connector[] {
    const [x, y, z] = p;
    const over = CELLS.over(x - reach, y - reach, z - reach, x + reach, y + reach, z + reach);
    const lists = over ? over.map((cell) => this.cells.in(cell)) : this.cells.all();
    const found: Connector[] = [];
    for (const ends of lists) {
      for (const end of ends) if (distance(end.at, p) <= reach) found.push(end);
    }
    return found.sort((a, b) => distance(a.at, p) - distance(b.at, p));
  }

  /** Whether nothing is joined to an end: no other end in its place. */
  isOpen(end: Connector): boolean {
    return !this.near(end.at, JOINED).some((other) => other.piece !== end.piece);
  }

  /** Whether there is an end that nothing is joined to; quicker than all of them. */
  anyOpen(): boolean {
    if (this.opened) return this.opened.length > 0;
    for (const ends of this.cells.all()) if (ends.some((end) => this.isOpen(end))) return true;
    return false;
  }

  /** Every end of a kind that nothing is joined to. */
  open(kind?: Socket['kind']): Connector[] {
    this.opened ??= [...this.cells.all()].flat().filter((end) => this.isOpen(end));
    return this.opened.filter((end) => !kind || end.kind === kind);
  }
}

const indexOf = incrementalIndex(new EndIndex(PersistentGrid.none), (index, difference) =>
  index.changed(difference),
);

/** The index of a course's ends; made once for each state of the course. */
export const endIndex = ({ pieces }: Pick<Course, 'pieces'>): EndIndex => indexOf(pieces);

/** Turned half about its own upright: looking into an end instead of out of it. */
const ABOUT: Matrix3 = [-1, 0, 0, 0, 1, 0, 0, 0, -1];

/**
 * The piece placed so that one of its ends lies in another end exactly, facing it, raised and turned to
 * suit.
 * @param own which of the piece's own ends joins
 */
export function joinTo(piece: PieceInHand, own: number, end: Connector): PieceInHand {
  const socket = localGeometry(piece).sockets[own];
  const into = frameAt(socket.at, socket.heading, socket.pitch ?? 0).turn;
  const turn = multiply(multiply(end.turn, ABOUT), transpose(into));
  const [x, y, z] = sub(end.at, rotate(turn, socket.at));
  const joined: PieceInHand = {
    ...piece,
    at: [roundToStored(x), roundToStored(y), roundToStored(z)],
  };
  setTurn(joined as Piece, turnOfMatrix(turn));
  return joined;
}

/** Whether an end of one kind may join one of another: track to track, wall to wall, rims to rims. */
export const mayJoin = (a: Socket['kind'], b: Socket['kind']): boolean =>
  a === b || (a === 'rim' && b === 'track') || (a === 'track' && b === 'rim');

/**
 * Which of a piece's ends would best join another: one of the same kind first, then the one for which
 * the piece turns least.
 */
export function bestOwnEnd(piece: PieceInHand, end: Connector): number | null {
  const { sockets } = localGeometry(piece);
  const heading = piece.turn?.[1] ?? 0;
  let best: number | null = null;
  let least = Infinity;
  sockets.forEach((socket, i) => {
    if (!mayJoin(socket.kind, end.kind)) return;
    const { turn } = joinTo(piece, i, end);
    const off = Math.abs(shortestAngle((turn?.[1] ?? 0) - heading));
    // A track is gone along from its first end on; other ends only when the maker turns to them.
    const cost =
      (socket.kind === end.kind ? 0 : 1000) + (socket.kind === 'track' ? i * 360 : 0) + off;
    if (cost < least - 1e-6) {
      least = cost;
      best = i;
    }
  });
  return best;
}
