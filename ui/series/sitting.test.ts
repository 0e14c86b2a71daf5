import { useSittings } from './sitting';

const { begin, spend, end } = useSittings.getState();
const now = () => useSittings.getState().now;
beforeEach(() => useSittings.setState({ now: null, best: {} }));

test('every try is on the clock, and each course is passed once', () => {
  begin('week');
  spend(3, null);
  spend(10, 'a');
  spend(8, 'a');
  spend(5, 'b');
  expect(now()).toEqual({
    series: 'week',
    spent: 26,
    passed: [
      { slug: 'a', at: 13 },
      { slug: 'b', at: 26 },
    ],
  });
});

test('of sittings the best stays, of each series its own', () => {
  for (const [series, seconds] of [
    ['week', 30],
    ['week', 26],
    ['week', 28],
    ['night', 99],
  ] as const) {
    begin(series);
    spend(seconds, 'a');
    end(['a']);
  }
  expect(now()).toBeNull();
  expect(useSittings.getState().best).toEqual({ week: 26, night: 99 });
});

test('without a sitting nothing is spent or ended', () => {
  spend(3, 'a');
  end(['a']);
  expect(useSittings.getState()).toMatchObject({ now: null, best: {} });
});

test('one in which a course was left out counts for nothing', () => {
  begin('week');
  spend(5, 'b');
  end(['a', 'b']);
  expect(useSittings.getState()).toMatchObject({ now: null, best: {} });
});
