import { COMMANDS } from '../../commands/list';
import { CHOICE_ACTIONS, STEP_ACTIONS, type ChoiceNow } from './actions';

jest.mock('expo-router', () => ({ router: {} }));
jest.mock('@expo/vector-icons/Feather', () => () => null);
jest.mock('../../../scene', () => ({
  ...jest.requireActual('../../../scene/view'),
  ...jest.requireActual('../../../scene/glide'),
}));

const NOW: ChoiceNow = {
  handles: 'move',
  ownAxes: false,
  bothSides: false,
  adding: false,
  dragCopies: false,
  grouped: false,
  upright: false,
};
const shown = (now: Partial<ChoiceNow>) =>
  [...STEP_ACTIONS, ...CHOICE_ACTIONS]
    .filter(({ when }) => !when || when({ ...NOW, ...now }))
    .map(({ label }) => label);

test('every key that is told is a command’s', () => {
  const ids = new Set(COMMANDS.map(({ id }) => id));
  for (const { command } of [...STEP_ACTIONS, ...CHOICE_ACTIONS]) {
    if (command) expect(ids).toContain(command);
  }
});

test('seen from the side there is no away and nearer, and room to duplicate', () => {
  expect(shown({ upright: true })).not.toContain('Move away');
  expect(shown({ upright: false })).toContain('Move nearer');
  for (const upright of [true, false]) {
    const steps = STEP_ACTIONS.filter(({ when }) => !when || when({ ...NOW, upright }));
    // As many as fit the card of a wide screen.
    expect(steps.length).toBeLessThanOrEqual(8);
  }
});

test('what has no meaning now is not offered', () => {
  expect(shown({})).not.toContain('Ungroup');
  expect(shown({ grouped: true })).toContain('Ungroup');
  expect(shown({})).not.toContain('Both sides');
  expect(shown({ handles: 'stretch' })).toContain('Both sides');
});

test('of the handles one is on', () => {
  for (const handles of ['move', 'turn', 'stretch', 'slope'] as const) {
    const on = CHOICE_ACTIONS.filter(
      ({ command, on: isOn }) => command === 'handles' && isOn?.({ ...NOW, handles }),
    );
    expect(on).toHaveLength(1);
  }
});
