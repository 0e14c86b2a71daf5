import { gapTo, InflatedShapes, poseMover, type RunState, type World } from '../../run';
import { worldParts } from '../../pieces';

/** What is drawn of pieces, made ready to be measured to; made when first asked for. */
export class Pictures {
  private readonly byPiece = new Map<number, { bodies: InflatedShapes; moving: boolean }[]>();

  constructor(private readonly world: World) {}

  /**
   * Metres between the runner's body and what is drawn of a piece at the state's tick, or was at that before, if it
   * was nearer; below nothing where they overlap. What is drawn with hollows counts as filled.
   * @param s the run's state
   * @param piece by its place in the world
   * @param at where the runner's foot is, m
   */
  gap(s: RunState, piece: number, at: Readonly<Record<'x' | 'y' | 'z', number>> = s): number {
    const { world } = this;
    const body = world.bodies[s.size];
    let least = Infinity;
    for (const { bodies, moving } of this.of(piece)) {
      const own = moving ? world.partMovers[piece] : -1;
      const mover = own >= 0 ? own : world.pieceMovers[piece];
      const carried = mover < 0 ? null : poseMover(world.movers, s, mover);
      const poses = carried ? new Set([carried.pose, carried.before]) : [null];
      for (const pose of poses) least = Math.min(least, gapTo(bodies, pose, body, at).distance);
    }
    return least;
  }

  private of(piece: number) {
    let known = this.byPiece.get(piece);
    if (!known) {
      known = worldParts(this.world.pieces[piece])
        .filter(({ unseen }) => !unseen)
        .map(({ solid, moving = false }) => ({
          bodies: new InflatedShapes({ kind: 'hull', solid }),
          moving,
        }));
      this.byPiece.set(piece, known);
    }
    return known;
  }
}
