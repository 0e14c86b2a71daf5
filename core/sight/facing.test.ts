import { RUNNERS } from '../course';
import { runnerOf } from '../run';
import { facingOf } from './facing';

test('what has a front faces where that points, all others where they go', () => {
  const state = { fx: 0, fz: -1, heading: 30 };
  const faced = RUNNERS.map((kind) => facingOf(runnerOf({ kind }), state));
  expect(faced).toEqual([30, 30, 90, 30]);
});
