import { MOST_COURSES, MOST_NAMED, usePlaces, type Place } from './places';

const place = (x: number): Place => ({
  ...{ target: [x, 0, 0], distance: 20, yaw: 0, pitch: 9 },
  ...{ mode: 'side', level: 0, depth: 0 },
});
const places = () => usePlaces.getState();
beforeEach(() => usePlaces.setState({ courses: {} }));

test('where one worked last is kept course by course, and the oldest give way', () => {
  for (let i = 0; i < MOST_COURSES + 5; i++) places().leave(`c${i}`, place(i), 1000 + i);
  expect(Object.keys(places().courses)).toHaveLength(MOST_COURSES);
  expect(places().courses.c4).toBeUndefined();
  expect(places().courses[`c${MOST_COURSES + 4}`].last).toEqual(place(MOST_COURSES + 4));
});

test('views are kept by name, once each, as many as there is room for', () => {
  for (let i = 0; i < MOST_NAMED; i++) expect(places().name('a', `View ${i}`, place(i))).toBe(true);
  expect(places().name('a', 'One more', place(99))).toBe(false);
  expect(places().name('a', 'View 3', place(33))).toBe(true);
  expect(places().courses.a.named).toHaveLength(MOST_NAMED);
  expect(places().courses.a.named.find(({ name }) => name === 'View 3')!.place).toEqual(place(33));
  places().forget('a', 'View 3');
  expect(places().courses.a.named.map(({ name }) => name)).not.toContain('View 3');
  // Leaving the course changes none of them.
  places().leave('a', place(5));
  expect(places().courses.a.named).toHaveLength(MOST_NAMED - 1);
});
