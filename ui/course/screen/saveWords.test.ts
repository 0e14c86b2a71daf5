import type { SaveState } from '../../state/saveQueue';
import { isInOrder, saveWords } from './saveWords';

jest.mock('@expo/vector-icons/Feather', () => () => null);

test.each<[SaveState, string, string]>([
  [{ kind: 'saved', at: 0 }, 'Saved', 'Saved'],
  [{ kind: 'saving' }, 'Saving', 'Saving'],
  [{ kind: 'unsaved' }, 'Saving', 'Saving'],
  [{ kind: 'offline' }, 'Server away, kept here', 'Server away, not kept'],
  [{ kind: 'offline', busy: true }, 'Server busy, kept here', 'Server busy, not kept'],
  [{ kind: 'refused', message: 'No.' }, 'Not saved', 'Not saved'],
])('%j is told in words', (save, kept, notKept) => {
  expect(saveWords(save, false, false)).toBe(kept);
  expect(saveWords(save, false, true)).toBe(notKept);
  expect(isInOrder(save)).toBe(/^Sav/.test(kept));
});
