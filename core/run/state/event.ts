/** Something that happened in a run. */
export interface RunEvent {
  readonly kind:
    | 'start'
    | 'jump'
    | 'stroke'
    | 'land'
    | 'bounce'
    | 'portal'
    | 'switch'
    | 'lap'
    | 'leg'
    | 'pickup'
    | 'checkpoint'
    | 'hazard'
    | 'crush'
    | 'fall'
    | 'respawn'
    | 'break'
    | 'shut'
    | 'missed'
    | 'link'
    | 'message'
    | 'sound'
    | 'loop'
    | 'time-up'
    | 'lost'
    | 'goal';
  readonly tick: number;
  /** Seconds since the start, to a part of a tick where a surface was crossed. */
  readonly time: number;
  readonly x: number;
  readonly y: number;
  readonly z: number;
  /** Id of the piece concerned, if one is. */
  readonly piece?: string;
  /** A message's words, a sound's name, or the links concerned. */
  readonly text?: string;
}

export type Emit = (event: RunEvent) => void;
