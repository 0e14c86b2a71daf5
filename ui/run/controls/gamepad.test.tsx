import { renderHook } from '@testing-library/react-native';
import fc from 'fast-check';
import { padHands, type PadState } from './gamepad';
import { useGamepad } from './useGamepad';

/** A gamepad with its stick somewhere and some buttons held, by their places, or pressed so far. */
const pad = (
  axes: readonly number[] = [0, 0],
  held: readonly number[] = [],
  far: Readonly<Record<number, number>> = {},
): PadState => ({
  axes,
  buttons: Array.from({ length: 16 }, (_, i) => ({
    pressed: held.includes(i),
    value: far[i] ?? (held.includes(i) ? 1 : 0),
  })),
});

test('a stick that rests moves nothing, one pushed to its end all', () => {
  expect(padHands(pad([0.1, -0.1]), false)).toMatchObject({ right: 0, forward: 0 });
  expect(padHands(pad([1, 0]), false)).toMatchObject({ right: 1 });
  expect(padHands(pad([0, -1]), false).forward).toBeCloseTo(1, 9);
  expect(padHands(pad([0, 1]), false).forward).toBeCloseTo(-1, 9);
});

test('wherever the stick is, the pad stays within its round and looks the same way', () => {
  const axis = fc.double({ min: -1, max: 1, noNaN: true });
  fc.assert(
    fc.property(axis, axis, (x, y) => {
      const { right, forward } = padHands(pad([x, y]), false);
      expect(Math.hypot(right, forward)).toBeLessThanOrEqual(1 + 1e-9);
      expect(Math.abs(right * -y - forward * x)).toBeLessThan(1e-9);
      expect(right * x + forward * -y).toBeGreaterThanOrEqual(0);
    }),
  );
});

test('its cross goes before the stick, triggers drive only what has pedals', () => {
  expect(padHands(pad([0.9, 0], [14]), false).right).toBe(-1);
  expect(padHands(pad([0, 0], [12]), false).forward).toBe(1);
  const driven = pad([0.5, 0], [], { 7: 0.6, 6: 0.1 });
  expect(padHands(driven, true).forward).toBeCloseTo(0.5, 9);
  expect(padHands(driven, false).forward).toBe(0);
  expect(padHands(pad([], [1]), false).jump).toBe(true);
  expect(padHands({ axes: [], buttons: [] }, true)).toEqual({
    ...{ right: 0, forward: 0, jump: false, acts: [] },
  });
  expect(padHands(pad([0, 0], [3, 8, 9]), false).acts).toEqual(['pause', 'again', 'keep']);
});

describe('in a run', () => {
  let frames: (() => void)[] = [];
  let heard: Record<string, () => void> = {};
  let here: PadState | null = null;
  const frame = () => frames.splice(0).forEach((act) => act());
  beforeEach(() => {
    [frames, heard, here] = [[], {}, null];
    Object.assign(globalThis, {
      requestAnimationFrame: (act: () => void) => frames.push(act),
      cancelAnimationFrame: () => (frames = []),
    });
    Object.assign(window, {
      addEventListener: (name: string, act: () => void) => (heard[name] = act),
      removeEventListener: (name: string) => delete heard[name],
    });
    const getGamepads = () => [null, here && { ...here, connected: true }];
    Object.assign(globalThis, { navigator: { getGamepads } });
  });
  const begun = (worked: 'pad' | 'strokes' = 'pad') => {
    const told: string[] = [];
    const controls = {
      push: (right: number, forward: number) => told.push(`pad ${right} ${forward}`),
      press: (jump: boolean) => told.push(`jump ${jump}`),
      current: () => null,
    };
    const commands = {
      current: {
        pause: () => told.push('pause'),
        restart: () => told.push('again'),
        keep: () => told.push('keep'),
      },
    };
    const strokes = {
      point: (right: number, forward: number) => told.push(`point ${right} ${forward}`),
      strike: () => told.push('strike'),
    };
    return { told, ...renderHook(() => useGamepad(worked, controls, strokes, commands)) };
  };

  test('nothing is looked at until there is one; what it does is told once', () => {
    const { told, unmount } = begun();
    expect(frames).toHaveLength(0);
    here = pad();
    heard.gamepadconnected();
    frame();
    expect(told).toEqual([]);
    here = pad([1, 0], [0]);
    frame();
    frame();
    expect(told).toEqual(['pad 1 0', 'jump true']);
    here = pad([0, 0], [9]);
    frame();
    frame();
    expect(told.slice(2)).toEqual(['pad 0 0', 'jump false', 'pause']);
    unmount();
    expect([frames.length, Object.keys(heard)]).toEqual([0, []]);
  });

  test('what is struck is pointed by the stick, struck by the button once, and may be paused', () => {
    const { told } = begun('strokes');
    here = pad([1, 0]);
    heard.gamepadconnected();
    expect(told).toEqual(['point 1 0']);
    // The aim stays when the stick is let go of.
    here = pad([0, 0], [0]);
    frame();
    frame();
    expect(told.slice(1)).toEqual(['strike']);
    here = pad([0, 0], [9]);
    frame();
    expect(told.slice(2)).toEqual(['pause']);
  });

  test('one that is pulled out lets go of everything, and is found again', () => {
    here = pad([0, 0], [0]);
    const { told } = begun();
    expect(told).toEqual(['jump true']);
    here = null;
    frame();
    expect(told).toEqual(['jump true', 'jump false']);
    expect(frames).toHaveLength(0);
    here = pad([0, -1]);
    heard.gamepadconnected();
    expect(told.at(-1)).toBe('pad 0 1');
  });
});
