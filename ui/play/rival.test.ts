import { rivalOf } from './rival';

const row = (place: number, more: { own?: boolean; run?: string } = {}) => ({
  ...{ place, player: `P${place}`, time: place, own: false },
  run: `r${place}`,
  ...more,
});

test('the one just ahead is raced, as near as lets itself be seen', () => {
  const own = row(8, { own: true });
  expect(rivalOf([row(1), row(2), row(3), row(7), own, row(9)])?.place).toBe(7);
  expect(rivalOf([row(1), row(3), row(7, { run: undefined }), own])?.place).toBe(3);
});

test('who has no time yet races the slowest that is shown; the first races nobody', () => {
  expect(rivalOf([row(1), row(2), row(3)])?.place).toBe(3);
  expect(rivalOf([row(1, { own: true }), row(2)])).toBeNull();
  expect(rivalOf([])).toBeNull();
});
