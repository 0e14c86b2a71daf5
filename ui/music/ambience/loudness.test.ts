import { layPieces, type PieceInHand } from '@/core/edit';
import { emptyCourse } from '@/core/course';
import { courseHash } from '@/core/run';
import { soundPlaces } from './loudness';

const course = (...pieces: PieceInHand[]) => layPieces(emptyCourse('Trial', 'free'), pieces);
const sound: PieceInHand = {
  family: 'sound',
  at: [10, 0, 0],
  size: [4, 2, 4],
  params: { what: 'gulls', fades: 10, loud: 1.5 },
};

test('a placed sound is full within its region and fades to nothing about it', () => {
  const [place] = soundPlaces(course(sound).pieces);
  expect(place.what).toBe('gulls');
  expect(place.at([11, 1, 1.5])).toBe(1.5);
  const [near, far] = [place.at([15, 1, 0]), place.at([20, 1, 0])];
  expect(near).toBeLessThan(1.5);
  expect(far).toBeGreaterThan(0);
  expect(far).toBeLessThan(near);
  expect(place.at([22, 1, 0])).toBe(0);
  expect(place.at([10, 14, 0])).toBe(0);
});

test('one that fades over no way at all is heard within alone', () => {
  const [place] = soundPlaces(course({ ...sound, params: { fades: 0 } }).pieces);
  expect(place.at([10, 1, 0])).toBe(1);
  expect(place.at([12.01, 1, 0])).toBe(0);
});

test('no run feels it: with it and without, a course has one hash', () => {
  const bare = course({ family: 'start', at: [0, 0, 0] });
  expect(courseHash(layPieces(bare, [sound]))).toBe(courseHash(bare));
});
