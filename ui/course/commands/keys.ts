import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { COMMANDS, type Command } from './list';

/**
 * The keys an event stands for, as they are written: `Ctrl+Shift+G`, `T`, `?`. The Apple command key
 * counts as Ctrl.
 */
export function keysOf(
  event: Pick<KeyboardEvent, 'key' | 'code' | 'ctrlKey' | 'metaKey' | 'shiftKey'>,
): string {
  const letter = /^Key([A-Z])$/.exec(event.code)?.[1] ?? /^Digit(\d)$/.exec(event.code)?.[1];
  const ctrl = event.ctrlKey || event.metaKey ? 'Ctrl+' : '';
  // Signs that need Shift on some keyboards are themselves, whatever it takes to type them.
  if (!letter && event.key.length === 1) return `${ctrl}${event.key}`;
  const shift = event.shiftKey ? 'Shift+' : '';
  const name =
    letter ?? (event.key === ' ' ? 'Space' : event.key === 'Backspace' ? 'Delete' : event.key);
  return `${ctrl}${shift}${name}`;
}

/** Keys that stay what they are: without them one could not get out again. */
const FIXED = new Set(['Escape']);

interface KeyState {
  /** Keys that differ from the usual ones, by command; an empty text for none. */
  readonly changed: Readonly<Record<string, string>>;
  /** Gives a command other keys; returns the command that has them already, and then changes nothing. */
  assign: (id: string, keys: string) => Command | 'fixed' | null;
  reset: (id?: string) => void;
}

/** The keys as this maker has them, kept on the device. */
export const useKeys = create<KeyState>()(
  persist(
    (set, get) => ({
      changed: {},
      assign: (id, keys) => {
        if (FIXED.has(keys) || COMMANDS.find((c) => c.id === id)?.keys === 'Escape') return 'fixed';
        const other = COMMANDS.find(
          (command) => command.id !== id && keysFor(command, get().changed) === keys,
        );
        if (keys && other) return other;
        set({ changed: { ...get().changed, [id]: keys } });
        return null;
      },
      reset: (id?: string) => {
        if (!id) {
          set({ changed: {} });
          return;
        }
        const { [id]: _, ...changed } = get().changed;
        set({ changed });
      },
    }),
    { name: 'stonehop-keys' },
  ),
);

/** The keys of a command, usual or changed. */
export const keysFor = (
  command: Command,
  changed: Readonly<Record<string, string>> = useKeys.getState().changed,
): string => changed[command.id] ?? command.keys ?? '';

/** The command that keys stand for. */
export const commandFor = (keys: string): Command | undefined =>
  COMMANDS.find((command) => keysFor(command) === keys);

const SIGNS: Record<string, string> = {
  ArrowLeft: '←',
  ArrowRight: '→',
  ArrowUp: '↑',
  ArrowDown: '↓',
  PageUp: 'Page up',
  PageDown: 'Page down',
  Escape: 'Esc',
  Delete: 'Del',
};

/** Keys as they are shown: `Ctrl Shift G`. */
export const shownKeys = (keys: string): string =>
  keys === '+'
    ? '+'
    : keys
        .split('+')
        .map((part) => SIGNS[part] ?? part)
        .join(' ');

/** The keys of a command as they are shown beside its button. */
export const hintFor = (id: string): string | undefined => {
  const command = COMMANDS.find((c) => c.id === id);
  return (command && shownKeys(keysFor(command))) || undefined;
};
