import { workOf } from './work';

test('a finger sketches only while planning, and in other phases looks or works', () => {
  expect(workOf('plan', true)).toBe('sketch');
  expect(workOf('plan', false)).toBe('look');
  expect(workOf('lay', true)).toBe('lay');
  expect(workOf('tune', false)).toBe('tune');
  expect(workOf('share', true)).toBe('look');
});
