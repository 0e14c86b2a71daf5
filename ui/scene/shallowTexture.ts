import { DataTexture, LinearFilter, RedFormat, UnsignedByteType } from 'three';
import { SIDE, type Shallows } from './shallows';

/** How near stone the water is, as what the water is drawn with. */
export function shallowTexture({ cells }: Shallows): DataTexture {
  const texture = new DataTexture(cells, SIDE, SIDE, RedFormat, UnsignedByteType);
  texture.magFilter = LinearFilter;
  texture.minFilter = LinearFilter;
  texture.needsUpdate = true;
  return texture;
}
