import { useEffect, useMemo, useRef, type RefObject } from 'react';
import type { RunnerKind } from '@/core/course';
import { FULL_PAD, padSteps, type Input } from '@/core/run';
import { axes, useView } from '../scene';

/** What the hands do, before it is turned into a tick's input. */
interface Hands {
  /** Pad from -1 to 1 to the right and forwards. */
  right: number;
  forward: number;
  jump: boolean;
}

const MOVES: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  KeyA: [-1, 0],
  ArrowRight: [1, 0],
  KeyD: [1, 0],
  ArrowUp: [0, 1],
  KeyW: [0, 1],
  ArrowDown: [0, -1],
  KeyS: [0, -1],
};

export interface Controls {
  /** The pad was pushed so far to the right and forwards. */
  push: (right: number, forward: number) => void;
  press: (jump: boolean) => void;
  /** The input as it stands now, where that changes as the eye turns; else null. */
  current: () => Input | null;
}

/** Keys and touch controls of a run; each change is told at once with its moment. */
export function useControls(
  kind: RunnerKind,
  sideOn: boolean,
  tell: (input: Input, at: number) => void,
  commands: RefObject<{ pause: () => void; restart: () => void }>,
): Controls {
  const hands = useRef<Hands>({ right: 0, forward: 0, jump: false });
  const latest = useRef(tell);
  useEffect(() => {
    latest.current = tell;
  });
  const controls = useMemo((): Controls => {
    const change = (part: Partial<Hands>) => {
      Object.assign(hands.current, part);
      latest.current(inputOf(hands.current, kind, sideOn), performance.now());
    };
    return {
      push: (right, forward) => change({ right, forward }),
      press: (jump) => change({ jump }),
      current: () =>
        sideOn || kind === 'cart' || kind === 'flick' ? null : inputOf(hands.current, kind, sideOn),
    };
  }, [kind, sideOn]);

  useEffect(() => {
    const keys = new Set<string>();
    const update = () => {
      const pad = [0, 0];
      for (const key of keys) {
        const move = MOVES[key];
        // On a side-on stage up jumps, and only down is a way.
        if (move && !(sideOn && move[1] > 0)) {
          pad[0] += move[0];
          pad[1] += move[1];
        }
      }
      const up = sideOn && (keys.has('ArrowUp') || keys.has('KeyW'));
      controls.push(pad[0], pad[1]);
      controls.press(keys.has('Space') || up);
    };
    const down = (event: KeyboardEvent) => {
      if (event.repeat) return;
      // A flick stone has keys of its own.
      if (kind === 'flick' && (event.code in MOVES || event.code === 'Space')) return;
      if (event.code === 'KeyP' || event.code === 'Escape') commands.current?.pause();
      else if (event.code === 'KeyR') commands.current?.restart();
      else if (event.code in MOVES || event.code === 'Space') {
        event.preventDefault();
        keys.add(event.code);
        update();
      }
    };
    const up = (event: KeyboardEvent) => {
      if (keys.delete(event.code)) update();
    };
    const blur = () => {
      keys.clear();
      update();
    };
    window.addEventListener('keydown', down);
    window.addEventListener('keyup', up);
    window.addEventListener('blur', blur);
    return () => {
      window.removeEventListener('keydown', down);
      window.removeEventListener('keyup', up);
      window.removeEventListener('blur', blur);
    };
  }, [kind, sideOn, commands, controls]);
  return controls;
}

function inputOf({ right, forward, jump }: Hands, kind: RunnerKind, sideOn: boolean): Input {
  // Down the pad on a stage is towards the eye, which drops through what may be dropped through.
  if (sideOn) return { x: padSteps(right), z: forward < -0.5 ? FULL_PAD : 0, jump };
  // A cart is steered and driven as one sits on it.
  if (kind === 'cart') return { x: padSteps(right), z: padSteps(-forward), jump };
  const view = axes({ yaw: useView.getState().yaw, pitch: 0 });
  return {
    x: padSteps(view.right[0] * right + view.ahead[0] * forward),
    z: padSteps(view.right[2] * right + view.ahead[2] * forward),
    jump,
  };
}
