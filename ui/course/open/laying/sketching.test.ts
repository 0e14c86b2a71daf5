import { create } from 'zustand';
import { sketchingSlice, type Sketching } from './sketching';

const store = create<Sketching>()(sketchingSlice);
const now = () => store.getState();

test('another mode begins with no point and no note chosen', () => {
  now().setSketching('points');
  now().chooseSketchPoint({ line: 0, index: 2 });
  now().chooseSketchNote(1);
  now().setSketching('draw');
  expect(now()).toMatchObject({ sketching: 'draw', sketchPoint: null, sketchNote: null });
  now().setSketching(null);
  expect(now().sketching).toBeNull();
});
