import type { Vec3 } from '@/core/geometry';
import { daylight, lightsAt, sunAt, USUAL_HOUR } from './daylight';

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

test('by day there is one light; towards evening the sun is warm and the sky cool, and neither outshines day', () => {
  const noon = lightsAt(USUAL_HOUR);
  expect(noon.sun).toEqual(noon.sky);
  expect(noon.sun).toEqual([1, 1, 1]);
  for (const hour of [5, 6, 19, 20, 21]) {
    const { sun, sky } = lightsAt(hour);
    const warm = ([red, , blue]: Vec3) => red / blue;
    expect(warm(sun)).toBeGreaterThan(1.1);
    expect(warm(sky)).toBeLessThan(1);
    expect(Math.max(...sun, ...sky)).toBeLessThan(1.2);
    expect(Math.min(...sun, ...sky)).toBeGreaterThan(0.2);
  }
});
