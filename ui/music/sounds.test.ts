import { useSettings } from '../device/settings';

/** How many tones have been begun. */
let tones = 0;
class Context {
  state = 'running';
  currentTime = 0;
  destination = {};
  resume = () => Promise.resolve();
  node() {
    const param = { value: 0, setValueAtTime: () => {}, exponentialRampToValueAtTime: () => {} };
    const node = {
      gain: param,
      frequency: param,
      type: '',
      start: () => void tones++,
      stop: () => {},
    };
    return Object.assign(node, { connect: (other: unknown) => other });
  }
  createGain = () => this.node();
  createOscillator = () => this.node();
}

const load = () => jest.requireActual<typeof import('./sounds')>('./sounds');

beforeEach(() => {
  tones = 0;
  (globalThis as { AudioContext?: unknown }).AudioContext = Context;
  useSettings.setState({ muted: false });
});

test('what is done is heard at once, each in its own way', () => {
  const { sound } = load();
  sound('lay');
  const laid = tones;
  sound('join');
  expect(laid).toBeGreaterThan(0);
  expect(tones).toBeGreaterThan(laid);
});

test('one control mutes all of it', () => {
  const { sound } = load();
  useSettings.setState({ muted: true });
  for (const name of ['press', 'lay', 'gather', 'finish'] as const) sound(name);
  expect(tones).toBe(0);
});

test('a press of the interface is heard, one beside it is not', () => {
  const { soundPresses } = load();
  const listeners: ((event: unknown) => void)[] = [];
  const removeEventListener = jest.fn();
  Object.assign(window, {
    addEventListener: (_: string, listener: never) => void listeners.push(listener),
    removeEventListener,
  });
  const end = soundPresses();
  const press = (found: boolean) =>
    listeners[0]({ target: { closest: () => (found ? {} : null) } });
  press(false);
  expect(tones).toBe(0);
  press(true);
  expect(tones).toBe(1);
  end();
  expect(removeEventListener).toHaveBeenCalled();
});
