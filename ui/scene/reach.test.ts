import fc from 'fast-check';
import { layPieces } from '@/core/edit';
import { emptyCourse } from '@/core/course';
import { pieceBounds } from '@/core/pieces';
import { pixelOf, useView, VIEW_MODES } from './view';

const view = () => useView.getState();
const metres = fc.integer({ min: -1900, max: 1900 });

test('all in view shows all, however far apart it lies, in every view and on every screen', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(metres, fc.integer({ min: -50, max: 300 }), metres), {
        minLength: 1,
        maxLength: 8,
      }),
      fc.constantFrom(...VIEW_MODES),
      fc.constantFrom([390, 480] as const, [660, 726] as const, [1280, 300] as const),
      (places, mode, [width, height]) => {
        const course = layPieces(
          emptyCourse('Far', 'free'),
          places.map((at) => ({ family: 'block', at })),
        );
        view().resize(width, height);
        view().setMode(mode);
        view().fit(course);
        // Four kilometres are as far as one may go.
        if (view().distance >= 3999) return;
        for (const piece of course.pieces) {
          const { low, high } = pieceBounds(piece);
          for (const corner of [low, high]) {
            const pixel = pixelOf(view(), corner);
            expect(pixel).not.toBeNull();
            expect(pixel![0]).toBeGreaterThan(-1);
            expect(pixel![0]).toBeLessThan(width + 1);
            expect(pixel![1]).toBeGreaterThan(-1);
            expect(pixel![1]).toBeLessThan(height + 1);
          }
        }
      },
    ),
  );
});

test('what lies along a slant fills the picture that shows all of it', () => {
  // Two corners of its box are empty, as seen from here: the box alone would leave it small and off the middle.
  const course = layPieces(
    emptyCourse('Slant', 'free'),
    Array.from({ length: 20 }, (_, i) => ({ family: 'block', at: [4 * i, 0, 4 * i] as const })),
  );
  view().resize(660, 726);
  view().setMode('free');
  view().fit(course);
  const pixels = course.pieces.map((piece) => pixelOf(view(), piece.at)!);
  const [across, down] = [0, 1].map((k) => pixels.map((pixel) => pixel[k]));
  const shares = [
    (Math.max(...across) - Math.min(...across)) / 660,
    (Math.max(...down) - Math.min(...down)) / 726,
  ];
  expect(Math.max(...shares)).toBeGreaterThan(0.7);
});

test('one may go as near as four metres and as far as four kilometres', () => {
  view().look({ distance: 20 });
  for (let i = 0; i < 60; i++) view().zoom(1.3);
  expect(view().distance).toBe(4000);
  for (let i = 0; i < 90; i++) view().zoom(0.7);
  expect(view().distance).toBe(4);
});
