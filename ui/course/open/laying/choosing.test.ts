import { create } from 'zustand';
import { choosingSlice, type Choosing } from './choosing';

const store = create<Choosing>()(choosingSlice);
const now = () => store.getState();

test('each switch turns by itself', () => {
  now().toggleChoosing('adding');
  now().toggleChoosing('ownAxes');
  expect(now()).toMatchObject({ adding: true, ownAxes: true, bothSides: false, dragCopies: false });
  now().toggleChoosing('adding');
  expect(now()).toMatchObject({ adding: false, ownAxes: true });
});

test('lining up begins with no corner, goes on with one, and ends', () => {
  expect(now().cornering).toBeNull();
  now().lineUpCorner(null);
  expect(now().cornering).toEqual({ own: null });
  now().lineUpCorner([1, 2, 3]);
  expect(now().cornering).toEqual({ own: [1, 2, 3] });
  now().endCornering();
  expect(now().cornering).toBeNull();
});

test('handles, the side that stays, the handle held and a ring', () => {
  now().setHandles('stretch');
  now().keepSide('low');
  now().holdHandle({ axis: 1, side: -1 });
  now().showRing({ px: 1, pz: 2, count: 6, sweep: 360, rise: 0 });
  expect(now()).toMatchObject({
    handles: 'stretch',
    sizeKeeps: 'low',
    held: { axis: 1, side: -1 },
    pivot: { count: 6 },
  });
});
