import type { EffectKind } from '@/core/course';

/** A figure of an effect as it is shown. */
interface Figure {
  readonly label: string;
  readonly unit: string;
  readonly step: number;
}

/** A kind of effect as it is shown. */
interface EffectRow {
  readonly label: string;
  readonly value?: Figure;
  /** What its seconds are called. */
  readonly seconds?: string;
  /** What is said while its pieces are touched in the scene. */
  readonly picking?: string;
  /** Whether it is done to one piece alone. */
  readonly onOne?: true;
  /** What it has besides: words to say, a sound, or speeds along three axes. */
  readonly own?: 'words' | 'sound' | 'speed';
}

const times = (label: string): Figure => ({ label, unit: '×', step: 0.1 });

export const EFFECT_ROWS: Readonly<Record<EffectKind, EffectRow>> = {
  show: { label: 'Show' },
  hide: { label: 'Hide' },
  open: { label: 'Open' },
  shut: { label: 'Shut' },
  break: { label: 'Break' },
  start: { label: 'Start moving' },
  stop: { label: 'Stop moving' },
  carry: {
    label: 'Carry the runner to',
    picking: 'Touch where the runner is carried to',
    onOne: true,
  },
  push: { label: 'Push the runner', own: 'speed' },
  gravity: { label: 'Gravity', value: times('Gravity') },
  speed: { label: 'Pace', value: times('Pace') },
  size: { label: 'Size of the runner', value: times('Size') },
  still: { label: 'Controls off' },
  tide: {
    label: 'Move the tide',
    value: { label: 'Tide line at', unit: 'm', step: 0.1 },
    seconds: 'Takes',
  },
  message: { label: 'Message', own: 'words' },
  points: { label: 'Points', value: { label: 'Points', unit: '', step: 1 } },
  sound: { label: 'Sound', own: 'sound' },
  win: { label: 'Win' },
  back: { label: 'Back to the checkpoint' },
};
