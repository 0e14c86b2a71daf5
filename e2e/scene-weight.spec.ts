import { layPieces, type PieceInHand } from '@/core/edit';
import { emptyCourse } from '@/core/course';
import { toCourseFile } from '@/core/formats';
import { expect, test } from './support/test';

/** A course of 2,000 pieces of many families and sizes, forty of them movers. */
const large = layPieces(
  { ...emptyCourse('Two Thousand', 'free') },
  Array.from({ length: 2000 }, (_, i): PieceInHand => {
    const at: [number, number, number] = [(i % 50) * 3, 0, -Math.floor(i / 50) * 3];
    if (i === 0) return { family: 'start', at };
    if (i % 50 === 25) return { family: 'drift', at, params: { span: 1 + (i % 7) } };
    if (i % 9 === 4) return { family: 'shell', at };
    return {
      family: ['slab', 'block', 'ramp', 'post', 'steps'][i % 5],
      at,
      size: [1 + (i % 4) / 2, 1 + (i % 3), 2],
    };
  }),
);

test('2,000 pieces in view take at most 60 draw calls, and a ghost follows the pointer among them', async ({
  open,
}) => {
  const page = await open('/', 'wide');
  await page.getByTestId('open-course').click();
  await page.getByTestId('open-file').setInputFiles({
    name: 'large.json',
    mimeType: 'application/json',
    buffer: Buffer.from(toCourseFile(large)),
  });
  await expect(page.getByTestId('save-state')).toContainText('2000 pieces');
  await page.getByLabel('All in view').click();
  await page.evaluate(() => {
    const counts = { now: 0, most: 0 };
    Object.assign(window, { drawn: counts });
    for (const name of ['drawArrays', 'drawElements'] as const) {
      const draw = WebGL2RenderingContext.prototype[name] as (...args: number[]) => void;
      WebGL2RenderingContext.prototype[name] = function (
        this: WebGL2RenderingContext,
        ...args: number[]
      ) {
        if (counts.now++ === 0) requestAnimationFrame(() => (counts.now = 0));
        counts.most = Math.max(counts.most, counts.now);
        return draw.apply(this, args);
      } as never;
    }
  });
  await page.getByTestId('family-slab').click();
  const times: number[] = [];
  for (let i = 0; i < 30; i++) {
    times.push(
      await page.evaluate(async (step) => {
        const canvas = document.querySelector('canvas')!;
        const { left, top, width, height } = canvas.getBoundingClientRect();
        const from = performance.now();
        canvas.dispatchEvent(
          new PointerEvent('pointermove', {
            bubbles: true,
            pointerType: 'mouse',
            clientX: left + width * (0.3 + step / 100),
            clientY: top + height * 0.6,
          }),
        );
        // The interface takes the change up in microtasks; the drawing is not part of it.
        for (let k = 0; k < 5; k++) await Promise.resolve();
        return performance.now() - from;
      }, i),
    );
  }
  await expect(page.getByText('Slab in hand')).toBeVisible();
  await page.waitForTimeout(1500);
  const { most } = await page.evaluate(
    () => (window as unknown as { drawn: { most: number } }).drawn,
  );
  const median = times.sort((a, b) => a - b)[15];
  console.log(
    `  2,000 pieces: ${most} draw calls, ghost placed in ${median.toFixed(2)} ms (median)`,
  );
  expect(most).toBeGreaterThan(10);
  expect(most).toBeLessThanOrEqual(60);
});
