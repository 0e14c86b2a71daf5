import { COMMANDS } from './list';
import { commandFor, hintFor, keysFor, keysOf, shownKeys, useKeys } from './keys';

jest.mock('../../scene', () => jest.requireActual('../../scene/view'));
jest.mock('../../parts', () => ({
  showToast: jest.fn(() => () => {}),
  shortNumber: String,
  PHASES: ['plan', 'lay', 'tune', 'run', 'share'],
}));

const press = (key: string, code: string, held: Partial<KeyboardEvent> = {}) =>
  keysOf({ key, code, ctrlKey: false, metaKey: false, shiftKey: false, ...held });

beforeEach(() => useKeys.getState().reset());

test('no two commands have the same keys, and every command has a name', () => {
  const keys = COMMANDS.map((command) => keysFor(command)).filter(Boolean);
  expect(new Set(keys).size).toBe(keys.length);
  expect(new Set(COMMANDS.map(({ id }) => id)).size).toBe(COMMANDS.length);
  for (const { label } of COMMANDS) expect(label.length).toBeGreaterThan(2);
});

test('keys are read as they are written, whatever the keyboard holds down for them', () => {
  expect(press('t', 'KeyT')).toBe('T');
  expect(press('T', 'KeyT', { shiftKey: true })).toBe('Shift+T');
  expect(press('k', 'KeyK', { metaKey: true })).toBe('Ctrl+K');
  expect(press('?', 'Slash', { shiftKey: true })).toBe('?');
  expect(press('Backspace', 'Backspace')).toBe('Delete');
  expect(press('ArrowUp', 'ArrowUp', { shiftKey: true })).toBe('Shift+ArrowUp');
  expect(commandFor('Ctrl+K')?.id).toBe('find');
  expect(shownKeys('Ctrl+Shift+G')).toBe('Ctrl Shift G');
});

test('keys are changed, kept apart, and put back', () => {
  const { assign, reset } = useKeys.getState();
  expect(assign('duplicate', 'T')).toMatchObject({ id: 'turn' });
  expect(keysFor(COMMANDS.find(({ id }) => id === 'duplicate')!)).toBe('C');
  expect(assign('duplicate', 'Escape')).toBe('fixed');
  expect(assign('duplicate', 'Z')).toBeNull();
  expect(hintFor('duplicate')).toBe('Z');
  expect(commandFor('C')).toBeUndefined();
  reset('duplicate');
  expect(commandFor('C')?.id).toBe('duplicate');
});
