import { PULSE_MS, pulsePart } from './pulse';

test('a pulse goes from none to all of its time, and a frame stamped before it began is none', () => {
  expect(pulsePart(-5)).toBe(0);
  expect(pulsePart(PULSE_MS / 2)).toBe(0.5);
  expect(pulsePart(PULSE_MS * 3)).toBe(1);
});
