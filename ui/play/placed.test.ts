import { placedOf } from './placed';

const row = { place: 1, player: 'Wick', time: 10.25, own: false };

test('whoever is on the list stands with the time, or with the strokes where they count', () => {
  expect(placedOf(row)).toEqual({ place: 1, player: 'Wick', measure: '10.250' });
  expect(placedOf({ ...row, strokes: 1 }).measure).toBe('1 stroke');
  expect(placedOf({ ...row, strokes: 7 }).measure).toBe('7 strokes');
});
