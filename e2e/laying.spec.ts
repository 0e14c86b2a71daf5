import { Document, WebIO } from '@gltf-transform/core';
import type { Page } from '@playwright/test';
import type { Vec3 } from '@/core/geometry';
import { expect, test } from './support/test';
import { finished, pieces, runAhead, yard } from './support/yard';

const tool = async (page: Page, name: string) => {
  if (await page.getByText('Floors', { exact: true }).isVisible()) {
    await page.getByTestId('tray-toggle').tap();
  }
  await page.getByText(name, { exact: true }).tap();
};

test('a walled yard with an inside corner: the wall stops the runner, its doorway lets it out', async ({
  openMade,
}) => {
  const { page, hands } = await yard(openMade, 'Wall Yard');
  await tool(page, 'Wall');
  const posts: Vec3[] = [
    [-4, 0, -3],
    [0.5, 0, -3],
    [0.5, 0, 3],
    [-2.5, 0, 3],
    [-2.5, 0, 1.5],
    [-4, 0, 1.5],
    [-4, 0, -3],
  ];
  for (const post of posts) await hands.tap(post);
  await page.getByTestId('wall-end').tap();
  await expect(pieces(page)).toContainText('4 pieces');

  // Shut in: after some running the lantern is still out of reach.
  await runAhead(page, hands, () => page.waitForTimeout(4000));
  await expect(page.getByTestId('finish-time')).toHaveCount(0);
  await page.getByLabel('Pause').tap();
  await page.goBack();
  // Building goes on where it was looked at, once the run's scene has let go.
  await expect(page.getByTestId('view-mode')).toHaveText(/Above/);
  await expect(page.getByTestId('scene').locator('canvas')).toBeVisible();
  await expect(page.getByTestId('run-clock')).toHaveCount(0);

  await hands.tap([0.5, 2.4, 0.1]);
  await page.getByTestId('panel-door').tap();
  await runAhead(page, hands, finished(page));
});

test('a ring of eight stones, a mirrored half, and a platform of any outline are run over', async ({
  openMade,
}) => {
  const { page, hands } = await yard(openMade, 'Round Walk');
  await hands.pinchOut();
  // A platform with a dent, from the slab to where the lantern will stand.
  await tool(page, 'Platform');
  for (const p of [
    [3, 0, -1.5],
    [8, 0, -1.5],
    [7, 0, 0],
    [8, 0, 1.5],
    [3, 0, 1.5],
  ] as Vec3[]) {
    await hands.tap(p);
  }
  await page.getByTestId('outline-close').tap();
  await expect(pieces(page)).toContainText('4 pieces');
  // Its first corner drawn across the others is refused, with the reason where it would cross.
  await hands.drag([3, 0, -1.5], [5, 0, 3.5]);
  await expect(page.getByText('The outline would cross itself here.')).toBeVisible();
  // What of the drag could be is one step to take back.
  await page.getByLabel('Undo').tap();

  // The lantern is carried onto it, past the dent's tip.
  await page.getByTestId('tray-toggle').tap();
  await hands.tap([2.5, 2.6, -0.7]);
  await expect(page.getByTestId('choice-name')).toHaveText('Lantern');
  await hands.drag([2.5, 2.6, -0.7], [6.5, 2.6, -0.7]);
  await expect(page.getByTestId('choice-place')).toHaveText(/^6.5 +0 +0$/);
  await page.getByLabel('Let go').tap();

  // One stone becomes a ring of eight about the start.
  await page.getByText('Stones', { exact: true }).tap();
  await page.getByTestId('family-block').tap();
  await hands.tap([0, 0, -5]);
  await page.getByTestId('hand-done').tap();
  await expect(pieces(page)).toContainText('5 pieces');
  await hands.tap([0, 2, -5]);
  await expect(page.getByTestId('choice-name')).toHaveText('Block');
  await page.getByTestId('act-copies').click();
  await page.getByText('Ring', { exact: true }).tap();
  await page.getByTestId('copies-px').fill('-2');
  await page.getByTestId('copies-pz').fill('0.5-0.5');
  await page.getByTestId('copies-pz').press('Enter');
  // Its middle is drawn away over the scene, and back to the start.
  await page.getByTestId('copies-pivot').tap();
  await hands.drag([-2, 0, 0], [1, 0, 2]);
  await hands.tap([-2, 0, 0]);
  await page.getByTestId('pivot-done').tap();
  await expect(page.getByTestId('copies-px')).toHaveValue('-2');
  await expect(page.getByTestId('copies-pz')).toHaveValue('0');
  await page.getByTestId('copies-make').tap();
  await expect(pieces(page)).toContainText('12 pieces');
  // All of it one step.
  await page.getByLabel('Undo').tap();
  await expect(pieces(page)).toContainText('5 pieces');
  await page.getByLabel('Redo').tap();
  await page.getByLabel('Let go').tap();

  // Mirrored over the way: what is laid on one side stands on the other.
  await tool(page, 'Symmetry');
  await page.getByTestId('symmetry-mirror-z').tap();
  await page.getByTestId('tray-toggle').tap();
  await page.getByText('Timber', { exact: true }).tap();
  await page.getByTestId('family-crate').tap();
  await hands.tap([5, 0, -6]);
  await expect(pieces(page)).toContainText('14 pieces');
  await page.getByTestId('hand-done').tap();
  await hands.tap([5, 1, 6]);
  await expect(page.getByTestId('choice-name')).toHaveText('Crate');
  await page.getByLabel('Delete', { exact: true }).tap();
  await expect(pieces(page)).toContainText('12 pieces');

  await runAhead(page, hands, finished(page));
});

test('by keys on a wide screen: find a command, change its keys, choose, group, swap, and keep in the kit', async ({
  open,
}) => {
  const page = await open('/', 'wide');
  await page.getByTestId('demo-copy-kiln-yard').click();
  await expect(pieces(page)).toContainText('66 pieces');
  await page.keyboard.press('Control+k');
  await page.getByTestId('finder-words').fill('straight down');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('view-mode')).toHaveText(/Above/);
  await page.keyboard.press('Control+a');
  await expect(page.getByText('66 pieces', { exact: true })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByTestId('course-glance')).toBeVisible();

  // A key that is taken is refused; a free one is kept, and used.
  await page.keyboard.press('?');
  await page.getByTestId('keys-duplicate').click();
  await page.keyboard.press('t');
  await expect(page.getByText(/taken by “Turn”/)).toBeVisible();
  await page.getByTestId('keys-duplicate').click();
  await page.keyboard.press('z');
  await page.goBack();
  await page.getByTestId('phase-tune').click();
  await page
    .getByRole('button', { name: /Old kiln|Lift/ })
    .first()
    .click();
  await page.keyboard.press('z');
  await expect(pieces(page)).toContainText('67 pieces');
  // Copied, pasted where the pointer is, cut, and pasted into another course.
  const over = (await page.getByTestId('scene').boundingBox())!;
  await page.mouse.move(over.x + over.width / 2, over.y + over.height / 2);
  await page.keyboard.press('Control+c');
  await expect(page.getByText('Piece copied.')).toBeVisible();
  await page.keyboard.press('Control+v');
  await expect(pieces(page)).toContainText('68 pieces');
  await page.keyboard.press('Control+x');
  await expect(pieces(page)).toContainText('67 pieces');
  await page.keyboard.press('Control+k');
  await page.getByTestId('finder-words').fill('paste');
  await page.keyboard.press('Enter');
  await expect(pieces(page)).toContainText('68 pieces');
  await page.keyboard.press('Control+z');
  await expect(pieces(page)).toContainText('67 pieces');
  await page.getByTestId('phase-tune').click();
  await page
    .getByRole('button', { name: /Old kiln|Lift/ })
    .first()
    .click();
  await page.keyboard.press('Shift+C');
  await page.getByTestId('copies-count').fill('20000');
  await page.getByTestId('copies-count').press('Enter');
  await page.getByTestId('copies-make').click();
  await expect(page.getByText(/at most 2000/)).toBeVisible();
  await page.getByLabel('Close').click();
  await expect(pieces(page)).toContainText('67 pieces');

  await page.keyboard.press('s');
  await page.getByTestId('swap-find').fill('turning slab');
  await page.getByTestId('family-turntable').last().click();
  await expect(page.getByRole('heading', { name: 'Turning slab' })).toBeVisible();

  await page.keyboard.press('2');
  await page.keyboard.press('Control+k');
  await page.getByTestId('finder-words').fill('keep the choice');
  await page.keyboard.press('Enter');
  await page.getByTestId('kit-name').fill('Turning place');
  await page.getByTestId('kit-keep-it').click();
  await page.getByText('Tools', { exact: true }).click();
  await page.getByText('Kit', { exact: true }).click();
  await page.getByLabel('Lay Turning place').click();
  // It comes from the server.
  await expect(page.getByLabel('Lay Turning place')).toHaveAttribute('aria-pressed', 'true');
  const box = (await page.getByTestId('scene').boundingBox())!;
  await page.mouse.click(box.x + box.width / 2, box.y + box.height / 2);
  await expect(pieces(page)).toContainText('68 pieces');
  await expect(pieces(page)).toContainText('Saved');
});

/** A ball of very many triangles as a binary glTF. */
async function heavyBall(rings: number): Promise<Buffer> {
  const document = new Document();
  const buffer = document.createBuffer();
  const places: number[] = [];
  const corners: number[] = [];
  for (let i = 0; i <= rings; i++) {
    for (let k = 0; k <= rings; k++) {
      const [a, b] = [(i / rings) * Math.PI, (k / rings) * 2 * Math.PI];
      places.push(2 * Math.sin(a) * Math.cos(b), 2 * Math.cos(a), 2 * Math.sin(a) * Math.sin(b));
      if (i === rings || k === rings) continue;
      const n = i * (rings + 1) + k;
      corners.push(n, n + 1, n + rings + 1, n + 1, n + rings + 2, n + rings + 1);
    }
  }
  const array = (
    type: 'VEC3' | 'SCALAR',
    data: Float32Array<ArrayBuffer> | Uint32Array<ArrayBuffer>,
  ) => document.createAccessor().setType(type).setArray(data).setBuffer(buffer);
  const primitive = document
    .createPrimitive()
    .setAttribute('POSITION', array('VEC3', new Float32Array(places)))
    .setIndices(array('SCALAR', new Uint32Array(corners)));
  document
    .createScene()
    .addChild(document.createNode().setMesh(document.createMesh().addPrimitive(primitive)));
  return Buffer.from(await new WebIO().writeBinary(document));
}

test('a 3D model comes in as scenery, made lighter, and is there after a reload; a broken one says why', async ({
  openMade,
}) => {
  const { page } = await yard(openMade, 'Model Yard');
  await tool(page, 'Kit');
  const model = (name: string, buffer: Buffer) =>
    page.getByTestId('model-file').setInputFiles({ name, mimeType: 'model/gltf-binary', buffer });
  const ball = await heavyBall(60);
  await model('cut.glb', ball.subarray(0, ball.length - 40));
  await expect(page.getByText(/may be cut off/)).toBeVisible();
  await expect(pieces(page)).toContainText('3 pieces');
  await model('Great buoy.glb', ball);
  await expect(
    page.getByText(/Great buoy is in the course, made lighter by \d+ triangles/),
  ).toBeVisible();
  await expect(page.getByTestId('choice-name')).toHaveText('Great buoy');
  await expect(pieces(page)).toContainText('Saved');
  await page.reload();
  await expect(pieces(page)).toContainText('4 pieces');
});
