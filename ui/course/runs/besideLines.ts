import type { Colours } from '../../theme';

/** How the line of a run that another is held against looks: told apart without colours too. */
export interface BesideLine {
  readonly ink: keyof Pick<Colours, 'tide' | 'heather'>;
  readonly dashes?: string;
}

const LINES: readonly BesideLine[] = [
  { ink: 'tide' },
  { ink: 'heather', dashes: '7 4' },
  { ink: 'tide', dashes: '2 3' },
  { ink: 'heather', dashes: '10 3 2 3' },
];

/** The line of the one at a place among those that one is held against. */
export const besideLine = (place: number): BesideLine => LINES[place % LINES.length];
