import type { CDPSession, Page } from '@playwright/test';
import type { Vec3 } from '@/core/geometry';
import type { Eye } from '@/core/sight';
import { pixelOf } from '@/ui/scene/view';

/** Hands over the scene: places of the course as pixels, touches and drags as fingers make them. */
export class SceneHands {
  private session: CDPSession | null = null;

  constructor(private readonly page: Page) {}

  /** Where the eye is now. */
  private async eye(): Promise<Eye> {
    const told = await this.page.getByTestId('scene').getAttribute('data-eye');
    return JSON.parse(told!) as Eye;
  }

  /** What the eye looks at now. */
  async target(): Promise<Vec3> {
    return (await this.eye()).target;
  }

  /** The pixel of the page at which a place of the course is seen. */
  async pixel(place: Vec3): Promise<{ x: number; y: number }> {
    const box = (await this.page.getByTestId('scene').boundingBox())!;
    const [x, y] = pixelOf({ ...(await this.eye()), width: box.width, height: box.height }, place)!;
    return { x: box.x + x, y: box.y + y };
  }

  async tap(place: Vec3): Promise<void> {
    const { x, y } = await this.pixel(place);
    await this.page.touchscreen.tap(x, y);
  }

  /** Draws one finger from one place to another. */
  async drag(from: Vec3, to: Vec3): Promise<void> {
    const [a, b] = [await this.pixel(from), await this.pixel(to)];
    await this.fingers([a], [b], 8);
  }

  /** Presses a finger down until that means something, slides it to another pixel, and lifts it. */
  async press(from: { x: number; y: number }, to: { x: number; y: number }): Promise<void> {
    this.session ??= await this.page.context().newCDPSession(this.page);
    const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', at: typeof from | null) =>
      this.session!.send('Input.dispatchTouchEvent', {
        type,
        touchPoints: at ? [{ ...at, id: 0 }] : [],
      });
    await touch('touchStart', from);
    await this.page.waitForTimeout(600);
    if (to.x !== from.x || to.y !== from.y) {
      for (let k = 1; k <= 4; k++) {
        await touch('touchMove', {
          x: from.x + ((to.x - from.x) * k) / 4,
          y: from.y + ((to.y - from.y) * k) / 4,
        });
      }
      // Come to rest before it lifts: in full flight it would fling, and the next tap only end that.
      await this.page.waitForTimeout(150);
      await touch('touchMove', to);
    }
    await touch('touchEnd', null);
  }

  /** Draws one finger along pixels of the page, resting at each for as many ms. */
  async draw(way: readonly { x: number; y: number }[], rest = 0): Promise<void> {
    this.session ??= await this.page.context().newCDPSession(this.page);
    const touch = (
      type: 'touchStart' | 'touchMove' | 'touchEnd',
      at: readonly { x: number; y: number }[],
    ) =>
      this.session!.send('Input.dispatchTouchEvent', {
        type,
        touchPoints: at.map(({ x, y }, id) => ({ x, y, id })),
      });
    await touch('touchStart', [way[0]]);
    for (const at of way.slice(1)) {
      await touch('touchMove', [at]);
      if (rest > 0) await this.page.waitForTimeout(rest);
    }
    await touch('touchEnd', []);
  }

  /** Moves the view so many metres to the right, with one finger over open water. */
  async pan(metres: number): Promise<void> {
    const [x, y] = (await this.eye()).target;
    await this.drag([x + metres / 2, y, 0], [x - metres / 2, y, 0]);
  }

  /** Draws two fingers together about the middle of the scene, which makes all of it half as large. */
  async pinchOut(): Promise<void> {
    const box = (await this.page.getByTestId('scene').boundingBox())!;
    const [x, y] = [box.x + box.width * 0.4, box.y + box.height / 2];
    await this.fingers(
      [
        { x: x - 100, y },
        { x: x + 100, y },
      ],
      [
        { x: x - 50, y },
        { x: x + 50, y },
      ],
      10,
    );
  }

  private async fingers(
    from: { x: number; y: number }[],
    to: typeof from,
    steps: number,
  ): Promise<void> {
    this.session ??= await this.page.context().newCDPSession(this.page);
    const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', at: typeof from) =>
      this.session!.send('Input.dispatchTouchEvent', {
        type,
        touchPoints: at.map(({ x, y }, id) => ({ x, y, id })),
      });
    await touch('touchStart', from);
    for (let i = 1; i <= steps; i++) {
      const k = i / steps;
      await touch(
        'touchMove',
        from.map((p, n) => ({ x: p.x + (to[n].x - p.x) * k, y: p.y + (to[n].y - p.y) * k })),
      );
    }
    // Fingers come to rest before they lift; lifted in full flight they would fling.
    await this.page.waitForTimeout(150);
    await touch('touchMove', to);
    await touch('touchEnd', []);
  }

  /** Holds a finger on something until a condition is met. */
  async hold(
    testId: string,
    part: { x: number; y: number },
    until: () => Promise<unknown>,
  ): Promise<void> {
    const box = (await this.page.getByTestId(testId).boundingBox())!;
    this.session ??= await this.page.context().newCDPSession(this.page);
    const at = { x: box.x + box.width * part.x, y: box.y + box.height * part.y, id: 7 };
    await this.session.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: [at] });
    await until();
    await this.session.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
  }
}
