import type { Vec3 } from '@/core/geometry';
import { daylight, sunAt, USUAL_HOUR } from './daylight';

test('the sun goes round from left to right and is highest at the usual hour', () => {
  const hours = Array.from({ length: 17 }, (_, i) => 5 + i);
  const suns = hours.map(sunAt);
  for (let i = 1; i < suns.length; i++) {
    const turn = ([x, , z]: Vec3) => Math.atan2(x, z);
    expect(turn(suns[i])).toBeGreaterThan(turn(suns[i - 1]));
  }
  const highest = suns.reduce((a, b) => (b[1] > a[1] ? b : a));
  expect(highest).toEqual(sunAt(USUAL_HOUR));
  for (const sun of suns) expect(sun[1]).toBeGreaterThan(0.1);
});

test('it is lightest by day, warm towards evening, and never quite dark', () => {
  expect(daylight(USUAL_HOUR)).toEqual({ light: 1, warmth: 0 });
  expect(daylight(20).warmth).toBeGreaterThan(0.5);
  expect(daylight(21).light).toBeGreaterThan(0.3);
  expect(daylight(9).light).toBeGreaterThan(daylight(6).light);
});
