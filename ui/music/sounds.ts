import { useSettings } from '../device/settings';
import { pluck } from './pluck';

/** What sounds when something is done, while building and in a run. */
export type ActSound = keyof typeof ACTS;

interface Note {
  /** Hz, seconds after the beginning, and seconds it lasts. */
  readonly pitch: number;
  readonly after: number;
  readonly length: number;
  readonly type: OscillatorType;
  readonly loud: number;
}
const note = (
  pitch: number,
  length: number,
  type: OscillatorType = 'sine',
  after = 0,
  loud = 0.18,
): Note => ({ pitch, after, length, type, loud });

const ACTS = {
  press: [note(300, 0.03, 'triangle', 0, 0.05)],
  lay: [note(170, 0.09, 'triangle'), note(120, 0.12, 'sine')],
  join: [note(170, 0.09, 'triangle'), note(392, 0.16, 'triangle', 0.05)],
  take: [note(392, 0.06, 'triangle')],
  remove: [note(220, 0.07, 'triangle'), note(150, 0.12, 'triangle', 0.06)],
  undo: [note(262, 0.05, 'triangle'), note(220, 0.06, 'triangle', 0.05)],
  refuse: [note(140, 0.14, 'square', 0, 0.07)],
  jump: [note(260, 0.07, 'triangle', 0, 0.06), note(330, 0.08, 'triangle', 0.04, 0.06)],
  land: [note(110, 0.07, 'sine', 0, 0.12)],
  bounce: [note(200, 0.06, 'sine', 0, 0.12), note(420, 0.14, 'triangle', 0.04, 0.08)],
  gather: [note(784, 0.12), note(1175, 0.25, 'sine', 0.07)],
  checkpoint: [note(523, 0.15), note(659, 0.15, 'sine', 0.1), note(784, 0.35, 'sine', 0.2)],
  round: [note(587, 0.15), note(784, 0.35, 'sine', 0.12)],
  hurt: [note(160, 0.2, 'sawtooth', 0, 0.08)],
  fall: [note(300, 0.12, 'sine'), note(180, 0.3, 'sine', 0.1)],
  finish: [
    note(523, 0.2),
    note(659, 0.2, 'sine', 0.12),
    note(784, 0.2, 'sine', 0.24),
    note(1047, 0.9, 'sine', 0.36),
  ],
} as const satisfies Record<string, readonly Note[]>;

/** Loudness of all of them. */
const LOUD = 0.5;

let context: AudioContext | null = null;
let out: GainNode | null = null;

/** Makes a sound, at once; none while muted, or before the page was touched. */
export function sound(name: ActSound): void {
  if (useSettings.getState().muted || typeof AudioContext === 'undefined') return;
  if (!context) {
    context = new AudioContext();
    out = context.createGain();
    out.gain.value = LOUD;
    out.connect(context.destination);
  }
  if (context.state !== 'running') void context.resume();
  for (const { pitch, after, length, type, loud } of ACTS[name]) {
    pluck(context, out!, { at: context.currentTime + after, pitch, length, loud, type });
  }
}

/** What is pressed, as the page marks it. */
const PRESSED = '[role=button],[role=tab],[role=radio],[role=checkbox],[role=switch],[role=link],a';

/** Has every press of the interface be heard. Returns how that is ended. */
export function soundPresses(): () => void {
  const press = (event: Event) => {
    if ((event.target as Element | null)?.closest?.(PRESSED)) sound('press');
  };
  window.addEventListener('pointerdown', press, true);
  return () => window.removeEventListener('pointerdown', press, true);
}
