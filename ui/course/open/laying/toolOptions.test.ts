import { create } from 'zustand';
import { toolOptionsSlice, type ToolOptions } from './toolOptions';

const store = create<ToolOptions>()(toolOptionsSlice);
const now = () => store.getState();

test('the ground brush and the whole ground exclude each other', () => {
  now().toggleGroundBrush();
  now().toggleWholeGround();
  expect(now()).toMatchObject({ groundBrush: false, wholeGround: true });
  now().toggleGroundBrush();
  expect(now()).toMatchObject({ groundBrush: true, wholeGround: false });
});

test('a paint that is taken up ends the picking of one', () => {
  now().togglePicking();
  expect(now().picking).toBe(true);
  now().takePaint({ material: 'moss' });
  expect(now()).toMatchObject({ paint: { material: 'moss' }, picking: false });
});

test('a change of the scattering leaves the rest of it', () => {
  const { families } = now().scattering;
  now().changeScattering({ density: 9 });
  expect(now().scattering).toMatchObject({ families, density: 9 });
});

test('each of the others is set by itself', () => {
  now().setFill('carve');
  now().toggleFillRound();
  now().toggleOnGround();
  now().setBrush(1.5);
  now().setStrewing('erase');
  now().setFloor({ family: 'tile', at: [0, 0, 0] });
  now().setWall({ family: 'wall', at: [0, 0, 0], size: [1, 3, 0.2] });
  now().setPlatform({ family: 'platform', at: [0, 0, 0], size: [3, 1, 2] });
  expect(now()).toMatchObject({
    fill: 'carve',
    fillRound: true,
    onGround: true,
    brush: 1.5,
    strewing: 'erase',
    floor: { family: 'tile' },
    wall: { size: [1, 3, 0.2] },
    platform: { size: [3, 1, 2] },
  });
});
