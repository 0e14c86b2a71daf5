import { seeded, type Vec3 } from '../geometry';

/** A hand's line: a curve with the tremor of a finger in it. */
function drawn(
  name: string,
  closed: boolean,
  count: number,
  place: (k: number) => readonly [number, number, number],
) {
  const shake = seeded(name.length * 7919 + count);
  const points = Array.from({ length: count }, (_, i): Vec3 => {
    const [x, y, z] = place(closed ? i / count : i / (count - 1));
    return [x + (shake() - 0.5) * 0.5, y, z + (shake() - 0.5) * 0.5];
  });
  return { name, closed, points };
}

const TAU = 2 * Math.PI;
/** Corners joined by straight strokes, as a hand draws them: a little round. */
const along = (
  corners: readonly (readonly [number, number])[],
  k: number,
): [number, number, number] => {
  const at = k * (corners.length - 1);
  const i = Math.min(corners.length - 2, Math.floor(at));
  const t = at - i;
  const s = t * t * (3 - 2 * t);
  const [a, b] = [corners[i], corners[i + 1]];
  return [
    a[0] + (b[0] - a[0]) * (0.6 * t + 0.4 * s),
    0,
    a[1] + (b[1] - a[1]) * (0.6 * t + 0.4 * s),
  ];
};

/** Ten lines such as makers draw them. */
export const ROUTES = [
  drawn('oval', true, 60, (k) => [24 * Math.cos(TAU * k), 0, 14 * Math.sin(TAU * k)]),
  drawn('circle', true, 40, (k) => [12 * Math.cos(TAU * k), 0, 12 * Math.sin(TAU * k)]),
  drawn('hairpin', false, 50, (k) => {
    if (k < 0.4) return [k * 75, 0, 0];
    if (k > 0.6) return [(1 - k) * 75, 0, 12];
    const a = ((k - 0.4) / 0.2) * Math.PI;
    return [30 + 6 * Math.sin(a), 0, 6 - 6 * Math.cos(a)];
  }),
  drawn('figure of eight', true, 90, (k) => [
    26 * Math.sin(TAU * k),
    0,
    13 * Math.sin(2 * TAU * k),
  ]),
  drawn('climbing spiral', false, 110, (k) => [
    (10 + 6 * k) * Math.cos(2.2 * TAU * k),
    9 * k,
    (10 + 6 * k) * Math.sin(2.2 * TAU * k),
  ]),
  drawn('bean', true, 80, (k) => {
    const r = 17 + 5 * Math.cos(TAU * k) + 3 * Math.cos(2 * TAU * k);
    return [r * Math.cos(TAU * k), 0, r * Math.sin(TAU * k)];
  }),
  drawn('slalom', false, 80, (k) => [70 * k, 0, 6 * Math.sin(3 * TAU * k)]),
  drawn('long bend', false, 40, (k) => [
    40 * Math.sin((k * Math.PI) / 2),
    2 * k,
    40 * (1 - Math.cos((k * Math.PI) / 2)),
  ]),
  drawn('angles', false, 60, (k) =>
    along(
      [
        [0, 0],
        [22, 0],
        [34, 14],
        [34, 32],
        [16, 40],
      ],
      k,
    ),
  ),
  drawn('clover', true, 120, (k) => {
    const r = 20 + 6 * Math.cos(3 * TAU * k);
    return [r * Math.cos(TAU * k), 0, r * Math.sin(TAU * k)];
  }),
];
