import type { Primitive } from '@gltf-transform/core';
import { MAX_MODEL_COLOURS } from '../course';

/** Linear light: red, green and blue, 0 to 1. */
export type Light = readonly [number, number, number];

const WHITE: Light = [1, 1, 1];

/** The light of a primitive's faces by their corners: its material's, times the mean of its corners' own. */
export function lightsOf(primitive: Primitive): (corners: readonly number[]) => Light {
  const [r, g, b] = primitive.getMaterial()?.getBaseColorFactor() ?? WHITE;
  const own = primitive.getAttribute('COLOR_0');
  if (!own) return () => [r, g, b];
  return (corners) => {
    const lights = corners.map((corner) => own.getElement(corner, []));
    const mean = (k: number) => lights.reduce((sum, light) => sum + light[k], 0) / lights.length;
    return [r * mean(0), g * mean(1), b * mean(2)];
  };
}

/**
 * The colours as they are seen, as #rrggbb, with no more than a model may have: of too many those that are most alike
 * come together, each group under its mean.
 */
export function fewColours(lights: readonly Light[]): string[] {
  const seen = lights.map((light) => light.map(toSeen));
  let bits = 8;
  let groups = grouped(seen, bits);
  while (new Set(groups).size > MAX_MODEL_COLOURS) groups = grouped(seen, --bits);
  const sums = new Map<string, number[]>();
  groups.forEach((group, i) => {
    const sum = sums.get(group) ?? [0, 0, 0, 0];
    [0, 1, 2].forEach((k) => (sum[k] += seen[i][k]));
    sum[3]++;
    sums.set(group, sum);
  });
  const names = new Map(
    [...sums].map(([group, [r, g, b, count]]) => [group, hexOf([r, g, b], count)]),
  );
  return groups.map((group) => names.get(group)!);
}

/** A name for each colour that it shares with those that have as many first bits alike in every channel. */
const grouped = (colours: readonly (readonly number[])[], bits: number): string[] =>
  colours.map((colour) => colour.map((v) => Math.round(v) >> (8 - bits)).join());

const hexOf = (sums: readonly number[], count: number): string =>
  `#${sums
    .map((sum) =>
      Math.round(sum / count)
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;

/** From linear light, 0 to 1, to what is seen, 0 to 255 (IEC 61966-2-1). */
function toSeen(light: number): number {
  const v = Math.min(1, Math.max(0, light));
  return 255 * (v <= 0.0031308 ? 12.92 * v : 1.055 * v ** (1 / 2.4) - 0.055);
}
