import type { Phase } from '../../../parts';
import { useView } from '../../../scene';
import { useCourse } from '../../../state/courseStore';
import { planeNow } from '../../lay/landing';
import { takeTool, useLay, type LayTool } from '../../lay/layStore';

/** Something that can be done while building, by its name or its keys. */
export interface Command {
  readonly id: string;
  readonly label: string;
  readonly group: 'Go' | 'View' | 'Lay' | 'Snap' | 'Choose' | 'Chosen' | 'Tools';
  /** Usual keys, as the browser names them with their modifiers; changeable. */
  readonly keys?: string;
  readonly run: () => void;
}

/** What the screen does for commands that go somewhere; set while a course is open. */
export const navigation: {
  to: (phase: Phase) => void;
  help: () => void;
  times: () => void;
  runHere: () => void;
} = {
  to: () => {},
  help: () => {},
  times: () => {},
  runHere: () => {},
};

export const course = () => useCourse.getState();

export const lay = () => useLay.getState();

export const view = () => useView.getState();

export const tool = (id: LayTool) => () => {
  navigation.to('lay');
  takeTool(id);
};

export const cycle = <T>(all: readonly T[], now: T): T => all[(all.indexOf(now) + 1) % all.length];

export const upright = () => planeNow().axis === 'z';
