/** Something that happened in a run. */
export interface RunEvent {
  readonly kind:
    | 'start'
    | 'jump'
    | 'land'
    | 'bounce'
    | 'portal'
    | 'switch'
    | 'lap'
    | 'pickup'
    | 'checkpoint'
    | 'hazard'
    | 'crush'
    | 'fall'
    | 'respawn'
    | 'shut'
    | 'goal';
  readonly tick: number;
  /** Seconds since the start, to a part of a tick where a surface was crossed. */
  readonly time: number;
  readonly x: number;
  readonly y: number;
  readonly z: number;
  /** Id of the piece concerned, if one is. */
  readonly piece?: string;
}

export type Emit = (event: RunEvent) => void;
