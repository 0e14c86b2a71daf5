import { PHASES } from '../../../parts';
import { useOpen } from '../../open/openStore';
import { clearLines, toggleLastLines } from '../../../state/shownRuns';
import { type Command, course } from './command';

/** Where one goes. */
export const GO: readonly Command[] = [
  ...PHASES.map((phase, i): Command => ({
    id: `go.${phase}`,
    label: `${phase[0].toUpperCase()}${phase.slice(1)}`,
    group: 'Go',
    keys: `${i + 1}`,
    run: ({ navigation }) => navigation.to(phase),
  })),
  {
    id: 'go.here',
    label: 'Run from here',
    group: 'Go',
    keys: 'Shift+4',
    run: ({ navigation }) => navigation.runHere(),
  },
  {
    id: 'go.times',
    label: 'Times of my runs',
    group: 'Go',
    run: ({ navigation }) => navigation.times(),
  },
  {
    id: 'lines.last',
    label: 'Lines of the last runs, shown or not',
    group: 'Go',
    run: toggleLastLines,
  },
  { id: 'lines.clear', label: 'Clear the lines of runs', group: 'Go', run: clearLines },
  { id: 'undo', label: 'Undo', group: 'Go', keys: 'Ctrl+Z', run: () => course().undo() },
  { id: 'redo', label: 'Redo', group: 'Go', keys: 'Ctrl+Y', run: () => course().redo() },
  {
    id: 'find',
    label: 'Find a command',
    group: 'Go',
    keys: 'Ctrl+K',
    run: () => useOpen.getState().open('finder'),
  },
  {
    id: 'help',
    label: 'All keys and touches',
    group: 'Go',
    keys: '?',
    run: ({ navigation }) => navigation.help(),
  },
];
