import type { Cue, CueKind } from '@/core/course';

/** What a cue's own words are made of: its pieces by name, and the cue. */
interface Said extends Cue {
  readonly names: string;
}

/** A kind of cue as it is shown. */
interface CueRow {
  readonly label: string;
  /** What its count and its seconds are called. */
  readonly count?: string;
  readonly seconds?: string;
  /** When it is given, in words. */
  readonly when: (said: Said) => string;
}

const each = ({ all, pieces = [], names }: Said) =>
  `${all && pieces.length > 1 ? 'All of ' : ''}${names}`;

export const CUE_ROWS: Readonly<Record<CueKind, CueRow>> = {
  touched: { label: 'Touched', when: (said) => `${each(said)} touched` },
  left: { label: 'Left', when: ({ names }) => `${names} left` },
  stood: {
    label: 'Stood in for',
    when: ({ names, seconds }) => `${names} stood in for${seconds ? ` ${seconds} s` : ''}`,
  },
  gathered: { label: 'So many gathered', when: ({ count = 1 }) => `${count} gathered` },
  broken: { label: 'Broken', when: (said) => `${each(said)} broken` },
  'all-gathered': { label: 'All of these gathered', when: ({ names }) => `${names} gathered` },
  start: { label: 'Run started', when: () => 'Run started' },
  checkpoint: {
    label: 'Checkpoint reached',
    when: (said) => (said.pieces ? `${each(said)} reached` : 'Any checkpoint reached'),
  },
  beat: {
    label: 'Every so many beats',
    count: 'Beats',
    when: ({ count }) => (count === 1 ? 'Every beat' : `Every${count ? ` ${count}` : ''} beats`),
  },
  timer: {
    label: 'Every so many seconds',
    when: ({ seconds }) => `Every${seconds ? ` ${seconds} s` : ''}`,
  },
  worth: { label: 'So much worth gathered', when: ({ count = 1 }) => `Worth of ${count} gathered` },
  fallen: {
    label: 'So many falls',
    when: ({ count = 1 }) => `Fallen ${count === 1 ? 'once' : `${count} times`}`,
  },
  round: { label: 'So many rounds done', when: ({ count = 1 }) => `Round ${count} done` },
  'time-left': {
    label: 'So much time left',
    seconds: 'Time left',
    when: ({ seconds = 10 }) => `${seconds} s left`,
  },
};
