import { create, type StoreApi, type UseBoundStore } from 'zustand';
import { TICKS_PER_SECOND } from '@/core/motion';

/** Where a run that is watched is. */
export interface WatchTime {
  /** The tick that is shown; parts of one while it plays slowly. */
  readonly tick: number;
  readonly playing: boolean;
  /** Times as fast as it was run. */
  readonly speed: number;
}

/** How fast a run may be watched. */
export const WATCH_SPEEDS = [0.1, 0.25, 0.5, 1, 2] as const;

/** A moment later, s: it stops at the end. */
export function advanced(now: WatchTime, seconds: number, ticks: number): WatchTime {
  if (!now.playing) return now;
  const tick = now.tick + seconds * now.speed * TICKS_PER_SECOND;
  return tick < ticks ? { ...now, tick } : { ...now, tick: ticks, playing: false };
}

/** Begins to play, from the start where it had come to its end; or holds. */
export const toggled = (now: WatchTime, ticks: number): WatchTime =>
  now.playing
    ? { ...now, playing: false }
    : { ...now, playing: true, tick: now.tick >= ticks ? 0 : now.tick };

/** At another tick, held there. */
export const soughtTo = (now: WatchTime, tick: number, ticks: number): WatchTime => ({
  ...now,
  playing: false,
  tick: Math.min(ticks, Math.max(0, Math.round(tick))),
});

/** The clock of a run that is watched. */
export interface WatchClock extends WatchTime {
  /** Ticks of the run. */
  readonly ticks: number;
  advance: (seconds: number) => void;
  toggle: () => void;
  seek: (tick: number) => void;
  setSpeed: (speed: number) => void;
}

export type UseWatchClock = UseBoundStore<StoreApi<WatchClock>>;

/** A clock for a run of so many ticks, begun at one of them. */
export const watchClock = (ticks: number, at = 0): UseWatchClock =>
  create<WatchClock>()((set, get) => ({
    ...soughtTo({ tick: 0, playing: false, speed: 1 }, at, ticks),
    playing: at === 0,
    ticks,
    advance: (seconds) => set(advanced(get(), seconds, ticks)),
    toggle: () => set(toggled(get(), ticks)),
    seek: (tick) => set(soughtTo(get(), tick, ticks)),
    setSpeed: (speed) => set({ speed }),
  }));
