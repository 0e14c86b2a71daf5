import { useEffect } from 'react';
import { PHASES, type Phase } from '../parts';
import { useView } from '../scene';
import { useCourse } from '../state/courseStore';
import { buildCommands, TURN_STEP } from './commands';
import { layAt } from './CourseScene';
import { useLay } from './layStore';
import { viewCommands } from './ViewTools';

/** A key and what it does, as the help page lists them. */
export interface KeyLine {
  readonly keys: string;
  readonly does: string;
}

export const BUILD_KEYS: readonly KeyLine[] = [
  { keys: '1 … 5', does: 'Plan, Lay, Tune, Run, Share' },
  { keys: 'Enter', does: 'Lay the piece in hand where its ghost stands' },
  { keys: 'Esc', does: 'Done: let go of the piece in hand, then of the choice' },
  { keys: 'Arrows', does: 'Move the chosen pieces a grid step' },
  { keys: 'Page up, Page down', does: 'Raise and lower them' },
  { keys: 'T, Shift T', does: 'Turn the piece by 15° and back' },
  { keys: 'C', does: 'Duplicate' },
  { keys: 'Delete', does: 'Delete' },
  { keys: 'Ctrl Z, Ctrl Y', does: 'Undo and redo' },
  { keys: 'V', does: 'Next view: side, above, free' },
  { keys: 'G', does: 'Next grid step' },
  { keys: '[, ]', does: 'Move the work plane' },
  { keys: 'F', does: 'Go to the choice' },
  { keys: 'Home', does: 'All in view' },
  { keys: 'Wheel, right button', does: 'Zoom, and turn the view' },
  { keys: '?', does: 'This page' },
];

export const RUN_KEYS: readonly KeyLine[] = [
  { keys: '←, → or A, D', does: 'Run' },
  { keys: '↑, ↓ or W, S', does: 'Run forwards and back where the course roams free' },
  { keys: 'Space', does: 'Jump, the longer the higher; ↑ or W too on a side-on stage' },
  { keys: 'P or Esc', does: 'Pause and go on' },
  { keys: 'R', does: 'Start again' },
];

/** The keys of building; none while something is being typed. */
export function useBuildKeys(
  active: boolean,
  goTo: (phase: Phase) => void,
  help: () => void,
): void {
  useEffect(() => {
    if (!active) return;
    const upright = () => useView.getState().mode === 'side';
    const plain: Record<string, (shift: boolean) => void> = {
      Enter: () => layAt(useLay.getState().ghostAt ?? useView.getState().target),
      Escape: () => buildCommands.done(),
      ArrowLeft: () => buildCommands.move(-1, 0, 0),
      ArrowRight: () => buildCommands.move(1, 0, 0),
      ArrowUp: () => (upright() ? buildCommands.move(0, 1, 0) : buildCommands.move(0, 0, -1)),
      ArrowDown: () => (upright() ? buildCommands.move(0, -1, 0) : buildCommands.move(0, 0, 1)),
      PageUp: () => buildCommands.move(0, 1, 0),
      PageDown: () => buildCommands.move(0, -1, 0),
      KeyT: (shift) => buildCommands.turn(shift ? -TURN_STEP : TURN_STEP),
      KeyC: () => buildCommands.duplicate(),
      Delete: () => buildCommands.remove(),
      Backspace: () => buildCommands.remove(),
      KeyV: () => viewCommands.nextView(),
      KeyG: () => viewCommands.nextStep(),
      BracketLeft: () => viewCommands.movePlane(-1),
      BracketRight: () => viewCommands.movePlane(1),
      KeyF: () => viewCommands.focus(),
      Home: () => viewCommands.fit(),
    };
    const down = (event: KeyboardEvent) => {
      const { target } = event;
      if (target instanceof HTMLElement && /^(INPUT|TEXTAREA)$/.test(target.tagName)) return;
      if (event.ctrlKey || event.metaKey) {
        const { undo, redo } = useCourse.getState();
        if (event.code === 'KeyZ') (event.shiftKey ? redo : undo)();
        else if (event.code === 'KeyY') redo();
        else return;
      } else if (event.key === '?') help();
      else if (/^[1-5]$/.test(event.key)) goTo(PHASES[Number(event.key) - 1]);
      else if (plain[event.code]) plain[event.code](event.shiftKey);
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', down);
    return () => window.removeEventListener('keydown', down);
  }, [active, goTo, help]);
}
