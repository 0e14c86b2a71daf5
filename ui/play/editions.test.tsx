import { changeWords } from './Editions';

jest.mock('expo-router', () => ({ router: {} }));

const none = { added: 0, removed: 0, moved: 0, changed: 0 };

test('what changed is told by its first with the word for pieces, and the rest after it', () => {
  expect(changeWords({ ...none, added: 1 })).toBe('1 piece more');
  expect(changeWords({ added: 2, removed: 1, moved: 3, changed: 1 })).toBe(
    '2 pieces more, 1 gone, 3 moved, 1 changed',
  );
  expect(changeWords({ ...none, moved: 1 })).toBe('1 piece moved');
  expect(changeWords(none)).toContain('its rules changed');
});
