import { useView } from '../../../scene';
import { useCourse } from '../../../state/courseStore';
import type { Navigation } from '../navigation';
import { planeNow } from '../../tools/landing';
import { takeTool, useLay, type LayTool } from '../../open/laying';

/** What a command is given when it runs. */
export interface CommandContext {
  readonly navigation: Navigation;
}

/** Something that can be done while building, by its name or its keys. */
export interface Command {
  readonly id: string;
  readonly label: string;
  readonly group: 'Go' | 'View' | 'Lay' | 'Snap' | 'Choose' | 'Chosen' | 'Tools';
  /** Usual keys, as the browser names them with their modifiers; changeable. */
  readonly keys?: string;
  /** Its usual keys are the browser's own: pressed, the browser tells what comes of them (`useClipboard`). */
  readonly native?: boolean;
  readonly run: (context: CommandContext) => void;
}

export const course = () => useCourse.getState();

export const lay = () => useLay.getState();

export const view = () => useView.getState();

export const tool =
  (id: LayTool): Command['run'] =>
  ({ navigation }) => {
    navigation.to('lay');
    takeTool(id);
  };

export const cycle = <T>(all: readonly T[], now: T): T => all[(all.indexOf(now) + 1) % all.length];

export const upright = () => planeNow().axis === 'z';
