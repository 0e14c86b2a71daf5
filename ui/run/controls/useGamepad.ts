import { useEffect, type RefObject } from 'react';
import type { RunnerRow } from '../runners';
import { padHands, type PadHands } from './gamepad';
import type { Controls, RunCommands } from './useControls';

/** The first gamepad there is, if the browser has any. */
function firstPad(): Gamepad | null {
  try {
    return navigator.getGamepads?.().find((pad) => pad?.connected) ?? null;
  } catch {
    // Forbidden here: there is none.
    return null;
  }
}

/** How what is struck is aimed and struck. */
export interface Strokes {
  /** Pointed so far to the right and forwards, each -1 to 1. */
  readonly point: (right: number, forward: number) => void;
  readonly strike: () => void;
}

const IDLE: PadHands = { right: 0, forward: 0, jump: false, acts: [] };

/**
 * Has a gamepad work a run, frame by frame as browsers tell of it, from when one is touched. What it does is told
 * when it changes, so that keys and touch go on working beside one that rests.
 *
 * @param worked how the runner is worked
 * @param controls what the hands do is told to
 * @param strokes what is told of them instead where a runner is struck: the stick points, the button strikes
 * @param commands what its other buttons ask for
 */
export function useGamepad(
  worked: RunnerRow['controls']['kind'],
  controls: Controls,
  strokes: Strokes,
  commands: RefObject<RunCommands>,
): void {
  useEffect(() => {
    let before = IDLE;
    let frame = 0;
    const look = () => {
      const pad = firstPad();
      const now = pad ? padHands(pad, worked === 'pedals') : IDLE;
      const moved = now.right !== before.right || now.forward !== before.forward;
      if (worked === 'strokes') {
        // Let go of, the stick leaves the aim where it was.
        if (moved && (now.right !== 0 || now.forward !== 0)) strokes.point(now.right, now.forward);
        if (now.jump && !before.jump) strokes.strike();
      } else {
        if (moved) controls.push(now.right, now.forward);
        if (now.jump !== before.jump) controls.press(now.jump);
      }
      for (const act of now.acts) {
        if (before.acts.includes(act)) continue;
        if (act === 'pause') commands.current?.pause();
        else if (act === 'again') commands.current?.restart();
        else commands.current?.keep?.();
      }
      before = now;
      frame = pad ? requestAnimationFrame(look) : 0;
    };
    const begin = () => {
      if (frame === 0) look();
    };
    begin();
    window.addEventListener('gamepadconnected', begin);
    return () => {
      cancelAnimationFrame(frame);
      window.removeEventListener('gamepadconnected', begin);
    };
  }, [worked, controls, strokes, commands]);
}
