import type { Vec3 } from '../../geometry';
import { heightOver, isDisabled, type RunState, type World } from '../../run';
import { gapNow, type Hazard } from './onWay';
import type { Pictures } from './pictures';

/** How near a run passed a hazard. */
export interface NearestPass {
  /** The tick at which it was nearest, and where the runner's foot then was, m. */
  readonly tick: number;
  readonly at: Vec3;
  /** Metres between what touches, least over the run; below nothing where they overlapped. */
  readonly shapes: number;
  /** The same between the pictures, least over the run; Infinity where the shapes were never within 2 m. */
  readonly pictures: number;
  /** How far the runner could have been let down before it touched, least while it was over it, m; null if never. */
  readonly over: number | null;
}

/** Farther off than this nothing is measured exactly, m. */
const AWAY = 6;
/** Shapes farther off than this have their pictures not looked at, m. */
const CLOSE = 2;
/** How far below the runner a hazard may be and be jumped over, m. */
const DEEP = 4;

/** Keeps the nearest pass of each hazard, tick by tick. */
export class Passes {
  private readonly nearest: (NearestPass | null)[];

  constructor(
    private readonly world: World,
    private readonly hazards: readonly Hazard[],
    private readonly pictures: Pictures,
  ) {
    this.nearest = hazards.map(() => null);
  }

  /** Measures how things are in a state. */
  look(s: RunState): void {
    this.hazards.forEach((hazard, i) => {
      for (const { collider: c } of hazard.shapes) {
        if (isDisabled(this.world, s, c) || this.isAway(s, c.low, c.high)) continue;
        const shapes = gapNow(this.world, s, c);
        if (shapes > AWAY) continue;
        const before = this.nearest[i];
        const drop = s.ground < 0 ? heightOver(this.world, s, c, DEEP) : null;
        const over = least(before?.over ?? null, drop);
        const drawn = shapes > CLOSE ? Infinity : this.pictures.gap(s, hazard.piece);
        const pictures = Math.min(before?.pictures ?? Infinity, drawn);
        const nearer = !before || shapes < before.shapes;
        this.nearest[i] = nearer
          ? { tick: s.tick, at: [s.x, s.y, s.z], shapes, pictures, over }
          : { ...before, pictures, over };
      }
    });
  }

  /** The nearest pass of a hazard; null where the run came near it nowhere. */
  of(i: number): NearestPass | null {
    return this.nearest[i];
  }

  private isAway(s: RunState, low: Vec3, high: Vec3): boolean {
    return [s.x, s.y, s.z].some((v, axis) => v < low[axis] - AWAY || v > high[axis] + AWAY);
  }
}

const least = (a: number | null, b: number | null): number | null =>
  a === null ? b : b === null ? a : Math.min(a, b);
