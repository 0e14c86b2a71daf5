import { act, fireEvent, render, screen } from '@testing-library/react-native';
import fc from 'fast-check';
import { ArrangeControls } from './ArrangeControls';
import { movedBy, SIZES, USUAL_LAYOUT, useTouchLayouts } from './touchLayout';

jest.mock('@expo/vector-icons/Feather', () => () => null);

const now = () => useTouchLayouts.getState().of;
beforeEach(() => useTouchLayouts.setState({ of: {} }));

test('wherever it is dragged, it stays where a thumb can be', () => {
  const way = fc.tuple(fc.integer({ min: -900, max: 900 }), fc.integer({ min: -900, max: 900 }));
  fc.assert(
    fc.property(fc.array(way), fc.boolean(), (ways, onLeft) => {
      const end = ways.reduce((at, [dx, dy]) => movedBy(at, dx, dy, onLeft), USUAL_LAYOUT.pad);
      expect(end.inward >= 0 && end.inward <= 120 && end.up >= 0 && end.up <= 320).toBe(true);
    }),
  );
});

test('towards the middle is inward from either side, and to and fro is where it was', () => {
  const at = { inward: 40, up: 60 };
  expect(movedBy(at, 10, -20, true)).toEqual({ inward: 50, up: 80 });
  expect(movedBy(at, -10, -20, false)).toEqual({ inward: 50, up: 80 });
  expect(movedBy(movedBy(at, 7, 9, true), -7, -9, true)).toEqual(at);
});

test('each kind of runner has a layout of its own, until it is as usual again', () => {
  render(<ArrangeControls kind="cart" onDone={() => {}} />);
  fireEvent.press(screen.getByLabelText('Left-handed'));
  fireEvent(screen.UNSAFE_getByType('input' as never), 'change', { target: { value: '1' } });
  expect(now()).toEqual({ cart: { ...USUAL_LAYOUT, leftHanded: true, size: SIZES[1] } });
  act(() => useTouchLayouts.getState().set('hopper', { pad: { inward: 8, up: 0 } }));
  expect(now().hopper).toEqual({ ...USUAL_LAYOUT, pad: { inward: 8, up: 0 } });
  fireEvent.press(screen.getByText('As usual'));
  expect(Object.keys(now())).toEqual(['hopper']);
});

test('it is done when it is said to be', () => {
  let done = 0;
  render(<ArrangeControls kind="roller" onDone={() => done++} />);
  fireEvent.press(screen.getByTestId('arrange-done'));
  expect(done).toBe(1);
});
