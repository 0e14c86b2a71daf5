import { fitRound } from './courses/saltPanRound';
import round from './courses/saltPanTrack.json';

test('the round that is kept is what its sketch is fitted to', () => {
  expect(JSON.parse(JSON.stringify(fitRound()))).toEqual(round);
});
