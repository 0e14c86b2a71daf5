import fc from 'fast-check';
import { holdsFrames } from './mp3';

/** Frames of 128 kbit/s at 44.1 kHz, one after the other. */
const frames = (count: number): Uint8Array => {
  const data = new Uint8Array(417 * count);
  for (let i = 0; i < count; i++) data.set([0xff, 0xfb, 0x90, 0x00], 417 * i);
  return data;
};
const joined = (...parts: Uint8Array[]): Uint8Array =>
  Uint8Array.from(parts.flatMap((p) => [...p]));

test('frames in a row are a recording, with a tag before them or not', () => {
  expect(holdsFrames(frames(3))).toBe(true);
  const tag = Uint8Array.from([0x49, 0x44, 0x33, 4, 0, 0, 0, 0, 1, 2, ...new Array(130).fill(65)]);
  expect(holdsFrames(joined(tag, frames(5)))).toBe(true);
  expect(holdsFrames(joined(tag, new Uint8Array(9), frames(5)))).toBe(true);
});

test('fewer, or what only begins like one, is none', () => {
  expect(holdsFrames(frames(2))).toBe(false);
  expect(holdsFrames(joined(frames(2), new Uint8Array(900).fill(7)))).toBe(false);
  expect(holdsFrames(Uint8Array.from([0x49, 0x44, 0x33, 4, 0, 0, 127, 127, 127, 127]))).toBe(false);
  expect(holdsFrames(new Uint8Array(0))).toBe(false);
});

test('no bytes at all make it fail or hang', () => {
  fc.assert(
    fc.property(fc.uint8Array({ maxLength: 2000 }), (bytes) => {
      expect(typeof holdsFrames(joined(Uint8Array.from([0xff, 0xfb]), bytes))).toBe('boolean');
    }),
  );
});
