import { create } from 'zustand';
import { planeOf, workPlaneSlice, type WorkPlanes } from './workPlane';

const store = create<WorkPlanes>()(workPlaneSlice);
const now = () => store.getState();

test('each plane moves by itself, and the view says which of them it is', () => {
  now().moveWorkPlane({ level: 2 });
  now().moveWorkPlane({ depth: -3 });
  expect(planeOf('above', now())).toEqual({ axis: 'y', value: 2 });
  expect(planeOf('free', now())).toEqual({ axis: 'y', value: 2 });
  expect(planeOf('side', now())).toEqual({ axis: 'z', value: -3 });
});

test('the flying pad comes and goes', () => {
  now().toggleFlying();
  expect(now().flying).toBe(true);
  now().toggleFlying();
  expect(now().flying).toBe(false);
});
