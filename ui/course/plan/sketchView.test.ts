import { useView } from '../../scene';
import { useLay } from '../open/laying';
import { endSketch, lookForDrawing } from './sketchView';

jest.mock('../../scene', () => ({
  ...jest.requireActual('../../scene/view'),
  glideTo: (to: object) =>
    jest
      .requireActual<typeof import('../../scene/view')>('../../scene/view')
      .useView.getState()
      .look(to),
}));
jest.mock('../../parts', () => ({ showToast: jest.fn(() => () => {}) }));

const eye = () => {
  const { target, distance, yaw, pitch, mode } = useView.getState();
  return { target, distance, yaw, pitch, mode };
};

test('a first stroke has the view step back, and being done brings it back to where it was', () => {
  useView.getState().look({ mode: 'free', distance: 18, yaw: 20, pitch: 30, target: [4, 1, 2] });
  const before = eye();
  lookForDrawing(true);
  expect(eye().mode).toBe('above');
  expect(eye().distance).toBeGreaterThan(200);
  // Asked again, it still comes back to where it was at first.
  lookForDrawing(true);
  useLay.setState({ sketching: 'draw', sketchNote: 2 });
  endSketch();
  expect(eye()).toEqual(before);
  expect(useLay.getState()).toMatchObject({ sketching: null, sketchNote: null });
});

test('drawing on goes on in the view that is there', () => {
  useView.getState().look({ mode: 'side', distance: 18, yaw: 0, pitch: 9 });
  lookForDrawing(false);
  expect(eye()).toMatchObject({ mode: 'side', distance: 18 });
  useView.getState().look({ target: [9, 9, 9] });
  endSketch();
  expect(eye().target).toEqual([9, 9, 9]);
});
