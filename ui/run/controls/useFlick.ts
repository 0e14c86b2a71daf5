import { useEffect, useMemo, useRef, useState } from 'react';
import { FULL_AIM, mayStrike, NO_INPUT } from '@/core/run';
import { axes, pixelOf, useView, type Tool } from '../../scene';
import type { LiveRun } from '../liveRun';

/** A stroke being drawn: over the map or the stage, each from -1 to 1, and how hard, 0 to 1. */
export interface Aim {
  readonly x: number;
  readonly z: number;
  readonly strength: number;
}

/** Pixels a finger is drawn back for the hardest stroke. */
const FULL_DRAW = 170;
/** Strokes weaker than this are let go of. */
const LEAST = 0.04;

/** Aiming and striking a flick stone: drawn back from anywhere, or turned and struck by keys. */
export function useFlick(
  live: LiveRun,
  on: boolean,
): { readonly aim: Aim | null; readonly tool: Tool; readonly ready: () => boolean } {
  const [aim, setAim] = useState<Aim | null>(null);
  const drawn = useRef<Aim | null>(null);
  const from = useRef<readonly [number, number]>([0, 0]);
  const { tool, strike, turn, ready } = useMemo(() => {
    const show = (next: Aim | null) => {
      drawn.current = next;
      setAim(next);
    };
    const mayAim = () => on && mayStrike(live.state);
    const hit = () => {
      const told = drawn.current;
      show(null);
      if (!told || told.strength < LEAST || !mayAim()) return;
      const now = performance.now();
      const [x, z] = [told.x, told.z].map((v) => Math.round(v * told.strength * FULL_AIM));
      live.tell({ x, z, jump: true }, now);
      live.tell(NO_INPUT, now + 12);
    };
    /** The aim of a draw by pixels to the right and down: away from where it is drawn to. */
    const aimOf = (dx: number, dy: number): Aim => {
      const length = Math.hypot(dx, dy) || 1;
      const strength = Math.min(1, length / FULL_DRAW);
      const [right, up] = [-dx / length, dy / length];
      if (live.world.lane !== null) return { x: right, z: -up, strength };
      const { right: r, ahead: a } = axes({ yaw: useView.getState().yaw, pitch: 0 });
      return { x: r[0] * right + a[0] * up, z: r[2] * right + a[2] * up, strength };
    };
    return {
      ready: mayAim,
      strike: hit,
      turn: (degrees: number, harder: number) => {
        if (!mayAim()) return;
        const { right, ahead } = axes({ yaw: useView.getState().yaw, pitch: 0 });
        const side = live.world.lane !== null;
        const told = drawn.current ?? {
          x: side ? right[0] : ahead[0],
          z: side ? 0 : ahead[2],
          strength: 0.5,
        };
        const [c, s] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
        show({
          x: told.x * c - told.z * s,
          z: told.x * s + told.z * c,
          strength: Math.min(1, Math.max(0.05, told.strength + harder)),
        });
      },
      tool: {
        begin: (x, y) => {
          if (!mayAim()) return false;
          from.current = [x, y];
          return true;
        },
        drag: (x, y) => show(aimOf(x - from.current[0], y - from.current[1])),
        drop: hit,
      } satisfies Tool,
    };
  }, [live, on]);

  useEffect(() => {
    if (!on) return;
    const down = (event: KeyboardEvent) => {
      const step = event.shiftKey ? 1 : 4;
      const act: Record<string, () => void> = {
        ArrowLeft: () => turn(-step, 0),
        ArrowRight: () => turn(step, 0),
        ArrowUp: () => turn(0, 0.05),
        ArrowDown: () => turn(0, -0.05),
        Space: strike,
      };
      if (!act[event.code]) return;
      event.preventDefault();
      act[event.code]();
    };
    window.addEventListener('keydown', down);
    return () => window.removeEventListener('keydown', down);
  }, [on, strike, turn]);
  return { aim, tool, ready };
}

/** The pixel a runner's middle is seen at. */
export const runnerPixel = (live: LiveRun) => {
  const { x, y, z } = live.state;
  return pixelOf(useView.getState(), [x, y + 0.2, z]);
};
