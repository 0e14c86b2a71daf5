import { create } from 'zustand';
import { drawingSlice, type Drawing } from './drawing';

const store = create<Drawing>()(drawingSlice);
const now = () => store.getState();

test('another tool drops what this one had begun', () => {
  now().drawStroke([[0, 0, 0]]);
  now().drawLasso([[1, 1]]);
  now().showMeasure({ at: [0, 0, 0], words: '2 m' });
  now().choosePost(1);
  now().chooseCorner({ rim: 'outer', index: 2 });
  now().pickTool('wall');
  expect(now()).toMatchObject({
    tool: 'wall',
    stroke: [],
    lasso: [],
    measure: null,
    post: null,
    corner: null,
  });
});

test('a stroke is dropped with what is said about it', () => {
  now().drawStroke([
    [0, 0, 0],
    [1, 0, 0],
  ]);
  now().showFault({ at: [1, 0, 0], words: 'Crosses itself' });
  now().showMeasure({ at: [1, 0, 0], words: '1 m' });
  now().dropStroke();
  expect(now()).toMatchObject({ stroke: [], fault: null, measure: null });
});

test('a stroke that is drawn on, or back by a corner, is not said to be wrong as it was', () => {
  now().drawStroke([
    [0, 0, 0],
    [1, 0, 0],
  ]);
  now().showFault({ at: [1, 0, 0], words: 'Crosses itself' });
  now().drawStroke([[0, 0, 0]]);
  expect(now().fault).toBeNull();
});

test('a wall has a post or a panel chosen, never both', () => {
  now().choosePost(3);
  now().choosePanel({ run: 0, panel: 1 });
  expect(now()).toMatchObject({ post: null, panel: { run: 0, panel: 1 } });
  now().choosePost(3);
  expect(now()).toMatchObject({ post: 3, panel: null });
});

test('an open end that was touched is offered, and let go', () => {
  now().touchEnd([1, 0, 0]);
  expect(now().touchedEnd).toEqual([1, 0, 0]);
  now().touchEnd(null);
  expect(now().touchedEnd).toBeNull();
});
