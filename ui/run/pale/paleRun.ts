import type { PaleTrack } from '@/workers/timing';
import { Follower } from '@/core/timing';
import { TICKS_PER_SECOND } from '@/core/motion';

/** A recorded run shown running beside the live one. */
export interface PaleRun {
  readonly key: string;
  /** Whose it is, or which. */
  readonly name: string;
  readonly track: PaleTrack;
}

/** How one is behind another run, s, and which. */
export interface PaleGap {
  readonly name: string;
  /** Above nothing the live run comes later. */
  readonly gap: number;
}

/** Holds a live run against those shown beside it. */
export class PaleGaps {
  private readonly followers: readonly { readonly name: string; readonly follower: Follower }[];

  constructor(pales: readonly PaleRun[]) {
    this.followers = pales.map(({ name, track }) => ({
      name,
      follower: new Follower(track.path),
    }));
  }

  /** The gap to the one that is nearest in time, or null where none came by here. */
  nearest(s: {
    readonly x: number;
    readonly y: number;
    readonly z: number;
    readonly tick: number;
  }): PaleGap | null {
    let best: PaleGap | null = null;
    for (const { name, follower } of this.followers) {
      const there = follower.tickAt(s.x, s.y, s.z);
      if (there === null) continue;
      const gap = (s.tick - there) / TICKS_PER_SECOND;
      if (!best || Math.abs(gap) < Math.abs(best.gap)) best = { name, gap };
    }
    return best;
  }
}
