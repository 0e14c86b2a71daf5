import type { Piece } from '../course';
import { type Bounds, boundsOf, type Vec3 } from '../geometry';
import { undoPose } from '../motion';
import { hasPicture, type RunState, type World, poseMover } from '../run';
import { markOf, pieceBounds, worldParts } from '../pieces';
import { BoxTree } from './boxTree';
import { linedSolid, meetsLine, type LinedSolid } from './solidLine';

/** What is drawn of a piece and carried together, or stands still. */
interface Drawn {
  /** The place of its piece in the world. */
  readonly piece: number;
  /** Which of its parts: those that go with the family's own motion, those that do not, or all. */
  readonly which: 'moving' | 'still' | 'all';
  /** Its solids, made ready when a line first comes through its box: most are never asked. */
  solids: readonly LinedSolid[] | null;
}

/** What one mover carries, or nothing does, found by a line through it. */
interface Group {
  readonly mover: number;
  readonly drawn: readonly Drawn[];
  readonly tree: BoxTree;
}

/**
 * All that is drawn of a course and hides what is behind it, with what moves where a run's state has it. Marks and
 * pickups are left out: they are small, and looked for; water and copies that are thrown are left out as well.
 */
export class DrawnScene {
  /** Made when first asked for: many a camera never asks. */
  private groups: readonly Group[] | null = null;

  constructor(private readonly world: World) {}

  /**
   * Whether nothing that is drawn stands between two places.
   * @param s the run's state
   * @param a the one place, m
   * @param b the other
   * @param own a piece that hides nothing, by its place in the world; -1 for none
   */
  isFree(s: RunState, a: Vec3, b: Vec3, own = -1): boolean {
    const { world } = this;
    for (const { mover, drawn, tree } of (this.groups ??= groupsOf(world))) {
      let [from, to] = [a, b];
      if (mover >= 0) {
        const { pose } = poseMover(world.movers, s, mover);
        [from, to] = [undoPose(pose, a), undoPose(pose, b)];
      }
      const hides = (i: number) => {
        const one = drawn[i];
        if (one.piece === own || !hasPicture(world, s, one.piece)) return false;
        one.solids ??= solidsOf(world.pieces[one.piece], one.which);
        return one.solids.some((solid) => meetsLine(solid, from, to));
      };
      if (tree.some(from, to, hides)) return false;
    }
    return true;
  }
}

/** What is seen of some of a piece's parts, at rest. */
const partsOf = (piece: Piece, which: Drawn['which']) =>
  worldParts(piece).filter(
    ({ unseen, moving = false }) => !unseen && (which === 'all' || moving === (which === 'moving')),
  );

const solidsOf = (piece: Piece, which: Drawn['which']): LinedSolid[] =>
  partsOf(piece, which).map(({ solid, mesh }) => linedSolid(solid, mesh === true));

function groupsOf(world: World): Group[] {
  const byMover = new Map<number, { drawn: Drawn[]; boxes: number[] }>();
  const put = (mover: number, drawn: Drawn, { low, high }: Bounds) => {
    // Nothing is drawn of it.
    if (low[0] > high[0]) return;
    const group = byMover.get(mover) ?? { drawn: [], boxes: [] };
    byMover.set(mover, group);
    group.drawn.push(drawn);
    group.boxes.push(...low, ...high);
  };
  world.pieces.forEach((piece, place) => {
    if (markOf(piece) !== null || world.pickupAt[place] >= 0) return;
    const [whole, part] = [world.pieceMovers[place], world.partMovers[place]];
    const which = part < 0 ? 'all' : 'still';
    put(whole, { piece: place, which, solids: null }, pieceBounds(piece));
    if (part >= 0) {
      const points = partsOf(piece, 'moving').flatMap(({ solid }) => solid.points);
      put(part, { piece: place, which: 'moving', solids: null }, boundsOf(points));
    }
  });
  return [...byMover].map(([mover, { drawn, boxes }]) => ({
    mover,
    drawn,
    tree: new BoxTree(Float64Array.from(boxes)),
  }));
}
