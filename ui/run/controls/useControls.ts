import { useEffect, useMemo, useRef, type RefObject } from 'react';
import type { RunnerKind } from '@/core/course';
import { FULL_PAD, padSteps, type Input } from '@/core/run';
import { axes } from '@/core/sight';
import { useView } from '../../scene';
import { runActOf, type RunAct } from './runKeys';
import { RUNNER_ROWS } from '../runners';

/** What the hands do, before it is turned into a tick's input. */
interface Hands {
  /** Pad from -1 to 1 to the right and forwards. */
  right: number;
  forward: number;
  jump: boolean;
}

const MOVES: Partial<Record<RunAct, readonly [number, number]>> = {
  left: [-1, 0],
  right: [1, 0],
  forward: [0, 1],
  back: [0, -1],
};

export interface Controls {
  /** The pad was pushed so far to the right and forwards. */
  push: (right: number, forward: number) => void;
  press: (jump: boolean) => void;
  /** The input as it stands now, where that changes as the eye turns; else null. */
  current: () => Input | null;
}

/** What keys do in a run besides moving its runner. */
export interface RunCommands {
  pause: () => void;
  restart: () => void;
  /** Keeps the moment, where moments are kept. */
  keep?: () => void;
  /** Goes back at once to where the course is built, where it is. */
  leave?: () => void;
}

/** Keys and touch controls of a run; each change is told at once with its moment. */
export function useControls(
  kind: RunnerKind,
  sideOn: boolean,
  tell: (input: Input, at: number) => void,
  commands: RefObject<RunCommands>,
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
        sideOn || RUNNER_ROWS[kind].controls.kind !== 'pad'
          ? null
          : inputOf(hands.current, kind, sideOn),
    };
  }, [kind, sideOn]);

  useEffect(() => {
    const held = new Set<RunAct>();
    const update = () => {
      const pad = [0, 0];
      for (const act of held) {
        const move = MOVES[act];
        // On a side-on stage up jumps, and only down is a way.
        if (move && !(sideOn && move[1] > 0)) {
          pad[0] += move[0];
          pad[1] += move[1];
        }
      }
      controls.push(pad[0], pad[1]);
      controls.press(held.has('button') || (sideOn && held.has('forward')));
    };
    const down = (event: KeyboardEvent) => {
      if (event.repeat) return;
      const act = runActOf(event.code);
      if (act === 'pause') commands.current?.pause();
      else if (act === 'again') commands.current?.restart();
      else if (act === 'keep') commands.current?.keep?.();
      else if (act === 'leave') commands.current?.leave?.();
      // A flick stone is aimed by keys of its own.
      else if (act && RUNNER_ROWS[kind].controls.kind !== 'strokes') {
        event.preventDefault();
        held.add(act);
        update();
      }
    };
    const up = (event: KeyboardEvent) => {
      const act = runActOf(event.code);
      if (act && held.delete(act)) update();
    };
    const blur = () => {
      held.clear();
      update();
    };
    window.addEventListener('keydown', down);
    window.addEventListener('keyup', up);
    window.addEventListener('blur', blur);
    window.addEventListener('pointerup', letGoOfButton, true);
    return () => {
      window.removeEventListener('pointerup', letGoOfButton, true);
      window.removeEventListener('keydown', down);
      window.removeEventListener('keyup', up);
      window.removeEventListener('blur', blur);
    };
  }, [kind, sideOn, commands, controls]);
  return controls;
}

/**
 * What was touched over the scene holds on to the keys no longer: the key that jumps would press it again. Whoever came
 * to it by keys stays there.
 */
function letGoOfButton(): void {
  const held = document.activeElement;
  if (held instanceof HTMLElement && !held.closest('[role=dialog], input')) held.blur();
}

function inputOf({ right, forward, jump }: Hands, kind: RunnerKind, sideOn: boolean): Input {
  // Down the pad on a stage is towards the eye, which drops through what may be dropped through.
  if (sideOn) return { x: padSteps(right), z: forward < -0.5 ? FULL_PAD : 0, jump };
  // What has pedals is steered and driven as one sits on it.
  if (RUNNER_ROWS[kind].controls.kind === 'pedals')
    return { x: padSteps(right), z: padSteps(-forward), jump };
  const view = axes({ yaw: useView.getState().yaw, pitch: 0 });
  return {
    x: padSteps(view.right[0] * right + view.ahead[0] * forward),
    z: padSteps(view.right[2] * right + view.ahead[2] * forward),
    jump,
  };
}
