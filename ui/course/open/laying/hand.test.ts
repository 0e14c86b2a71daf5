import { create } from 'zustand';
import { handSlice, type Hand } from './hand';

const store = create<Hand>()(handSlice);
const now = () => store.getState();

test('another piece in hand is neither raised nor drawn out as a row; where it is seen stays', () => {
  now().moveGhost([1, 0, 1]);
  now().raiseHand(2.5);
  now().toggleRowing();
  now().turnHandAbout(2);
  now().lowerHand();
  expect(now()).toMatchObject({ ghostAt: [1, 0, 1], raised: 0, rowing: false, handAxis: 2 });
});

test('a row is shown and dropped', () => {
  const row = [{ family: 'crate', at: [0, 0, 0] as [number, number, number] }];
  now().showRow(row);
  expect(now().row).toBe(row);
  now().showRow(null);
  expect(now().row).toBeNull();
});

test('all that can be done with it is shown and hidden', () => {
  now().toggleHandOpen();
  expect(now().handOpen).toBe(true);
});
