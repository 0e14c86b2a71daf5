import { useEffect, useMemo, useRef, useState } from 'react';
import { mayStrike, NO_INPUT } from '@/core/run';
import { axes } from '@/core/sight';
import { pixelOf, useView, type Tool } from '../../scene';
import type { LiveRun } from '../liveRun';
import { drawnAim, pointedAim, strokeInput, turnedAim, type Aim, type AimFrame } from './aim';
import type { Strokes } from './useGamepad';

interface Flick {
  readonly aim: Aim | null;
  readonly tool: Tool;
  /** What a gamepad does with it. */
  readonly strokes: Strokes;
  readonly ready: () => boolean;
}

/** Aiming and striking a flick stone: drawn back from anywhere, turned and struck by keys, or pointed by a stick. */
export function useFlick(live: LiveRun, on: boolean): Flick {
  const [aim, setAim] = useState<Aim | null>(null);
  const drawn = useRef<Aim | null>(null);
  const from = useRef<readonly [number, number]>([0, 0]);
  const { tool, strokes, turn, ready } = useMemo(() => {
    const show = (next: Aim | null) => {
      drawn.current = next;
      setAim(next);
    };
    const mayAim = () => on && mayStrike(live.state);
    const frame = (): AimFrame => ({
      ...axes({ yaw: useView.getState().yaw, pitch: 0 }),
      onStage: live.world.lane !== null,
    });
    const hit = () => {
      const input = strokeInput(drawn.current);
      show(null);
      if (!input || !mayAim()) return;
      const now = performance.now();
      live.tell(input, now);
      live.tell(NO_INPUT, now + 12);
    };
    return {
      ready: mayAim,
      strokes: {
        point: (right, forward) => {
          if (mayAim()) show(pointedAim(right, forward, frame()));
        },
        strike: hit,
      } satisfies Strokes,
      turn: (degrees: number, harder: number) => {
        if (mayAim()) show(turnedAim(drawn.current, degrees, harder, frame()));
      },
      tool: {
        begin: (x, y) => {
          if (!mayAim()) return false;
          from.current = [x, y];
          return true;
        },
        drag: (x, y) => show(drawnAim(x - from.current[0], y - from.current[1], frame())),
        drop: hit,
      } satisfies Tool,
    };
  }, [live, on]);
  useAimKeys(on, strokes.strike, turn);
  return { aim, tool, strokes, ready };
}

/** Arrows turn the aim and make it harder, by less with shift held; space strikes. */
function useAimKeys(
  on: boolean,
  strike: () => void,
  turn: (degrees: number, harder: number) => void,
) {
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
}

/** The pixel a runner's middle is seen at. */
export const runnerPixel = (live: LiveRun) => {
  const { x, y, z } = live.state;
  return pixelOf(useView.getState(), [x, y + 0.2, z]);
};
