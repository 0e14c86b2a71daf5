import type { Material } from '../course';
import type { NamedTone, Tone } from './family';

/** Colours of a facet as it is seen: seen from the side, and facing up; sRGB hexadecimal. */
export const TONES: Readonly<
  Record<Material | NamedTone, { readonly side: string; readonly top: string }>
> = {
  stone: { side: '#857E70', top: '#C9C1A8' },
  slate: { side: '#6F7A7C', top: '#B7BFB3' },
  timber: { side: '#9A7448', top: '#C59B66' },
  moss: { side: '#4F7A58', top: '#86A86D' },
  thorn: { side: '#A5432C', top: '#C85F3F' },
  mover: { side: '#2C6E7C', top: '#7FB3B8' },
  shell: { side: '#C9A227', top: '#F0D36B' },
  flag: { side: '#6C4D87', top: '#8E6FA8' },
  rope: { side: '#A48A5F', top: '#D2BC8E' },
  metal: { side: '#59666B', top: '#94A3A6' },
  ice: { side: '#8FB4BF', top: '#DCECEE' },
  glow: { side: '#D9B45A', top: '#FFF0C4' },
  leaf: { side: '#62814F', top: '#93AE6C' },
  pine: { side: '#3E6150', top: '#5F8868' },
  reed: { side: '#87884F', top: '#B4AE70' },
  mud: { side: '#6E5C49', top: '#957F65' },
  water: { side: '#4F8C98', top: '#7FB0B5' },
  steam: { side: '#C9D3D2', top: '#F1F4F1' },
  beam: { side: '#E58C5A', top: '#F6B98A' },
  sail: { side: '#D8CDB6', top: '#F4ECDA' },
  tar: { side: '#34414A', top: '#55636B' },
  lamp: { side: '#E0B040', top: '#FBE7A6' },
};

/** A colour as red, green and blue from 0 to 1, as written. */
export const rgb = (hex: string): [number, number, number] => [
  parseInt(hex.slice(1, 3), 16) / 255,
  parseInt(hex.slice(3, 5), 16) / 255,
  parseInt(hex.slice(5, 7), 16) / 255,
];

const LIGHTS = new Map<Tone, [number[], number[]]>();
// Towards the sun: from the right, above and in front.
const SUN = [0.46, 0.76, 0.46];

/** The side and top colour of a tone; a colour of the maker's own is shaded and lightened for them. */
function lightsOf(tone: Tone): [number[], number[]] {
  if (!tone.startsWith('#')) {
    const { side, top } = TONES[tone as Material | NamedTone];
    return [rgb(side), rgb(top)];
  }
  const own = rgb(tone);
  return [own.map((c) => c * 0.74), own.map((c) => c + (1 - c) * 0.2)];
}

/**
 * Daylight on a flat facet: the side colour going over into the top colour by how much it faces up,
 * warmer towards the sun, and a few per cent of variation so that no two facets are quite alike.
 * @param tone of the piece
 * @param nx of the facet’s unit normal, in the world
 * @param ny of the same
 * @param nz of the same
 * @param mark any number; equal marks vary alike
 * @returns red, green and blue, 0 to 1
 */
export function facetColour(
  tone: Tone,
  nx: number,
  ny: number,
  nz: number,
  mark: number,
): [number, number, number] {
  let light = LIGHTS.get(tone);
  if (!light) {
    light = lightsOf(tone);
    LIGHTS.set(tone, light);
  }
  const up = Math.max(0, ny);
  const sun = nx * SUN[0] + ny * SUN[1] + nz * SUN[2];
  const shade = 0.84 + 0.3 * Math.max(-0.6, sun) - (ny < -0.3 ? 0.18 : 0);
  // A small integer hash; the low bits are well mixed.
  const hash = (Math.imul(mark | 0, 0x9e3779b1) >>> 16) & 1023;
  const vary = 1 + (hash / 1023 - 0.5) * 0.07;
  const k = up > 0.6 ? 1 : shade;
  const warm = up > 0.6 ? 1 : 1 + 0.03 * sun;
  return [0, 1, 2].map((i) => {
    const base = light[0][i] + (light[1][i] - light[0][i]) * up * up;
    return Math.min(1, base * k * vary * (i === 0 ? warm : i === 2 ? 2 - warm : 1));
  }) as [number, number, number];
}
