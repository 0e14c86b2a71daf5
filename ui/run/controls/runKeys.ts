import { create } from 'zustand';
import { persist } from 'zustand/middleware';

/** What keys do while a run goes on. */
export const RUN_ACTS = [
  'left',
  'right',
  'forward',
  'back',
  'button',
  'pause',
  'again',
  'keep',
  'leave',
] as const;
export type RunAct = (typeof RUN_ACTS)[number];

/** The usual keys, as the browser names their places on the keyboard. */
export const USUAL_KEYS: Readonly<Record<RunAct, readonly string[]>> = {
  left: ['ArrowLeft', 'KeyA'],
  right: ['ArrowRight', 'KeyD'],
  forward: ['ArrowUp', 'KeyW'],
  back: ['ArrowDown', 'KeyS'],
  button: ['Space'],
  pause: ['KeyP', 'Escape'],
  again: ['KeyR'],
  keep: ['KeyK'],
  leave: ['KeyB'],
};

interface RunKeys {
  /** Keys a player has given to acts, instead of the usual ones. */
  readonly changed: Partial<Record<RunAct, string>>;
  /** Gives an act a key; returns the act that has it already, and then changes nothing. */
  assign: (act: RunAct, code: string) => RunAct | 'fixed' | null;
  reset: () => void;
}

/** The keys of runs as this player has them, kept on the device. */
export const useRunKeys = create<RunKeys>()(
  persist(
    (set, get) => ({
      changed: {},
      assign: (act, code) => {
        // Without it one could not get out.
        if (code === 'Escape') return 'fixed';
        const other = RUN_ACTS.find((one) => one !== act && runKeysOf(one).includes(code));
        if (other) return other;
        set({ changed: { ...get().changed, [act]: code } });
        return null;
      },
      reset: () => set({ changed: {} }),
    }),
    { name: 'stonehop-run-keys' },
  ),
);

/** The keys of an act. Esc pauses whatever else does. */
export function runKeysOf(act: RunAct, changed = useRunKeys.getState().changed): readonly string[] {
  const own = changed[act];
  if (own === undefined) return USUAL_KEYS[act];
  return act === 'pause' ? [own, 'Escape'] : [own];
}

/** What a key does while a run goes on, if anything. */
export const runActOf = (code: string): RunAct | undefined =>
  RUN_ACTS.find((act) => runKeysOf(act).includes(code));

const SIGNS: Readonly<Record<string, string>> = {
  ArrowLeft: '←',
  ArrowRight: '→',
  ArrowUp: '↑',
  ArrowDown: '↓',
  Escape: 'Esc',
  Space: 'Space',
};

/** A key as it is shown: `A`, `7`, `←`. */
export const shownCode = (code: string): string =>
  SIGNS[code] ?? code.replace(/^(Key|Digit)/, '').replace(/^Numpad/, 'Pad ');
