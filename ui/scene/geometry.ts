import { BufferAttribute, BufferGeometry } from 'three';
import type { Baked } from './bake';

/** A geometry of facets. */
export function facetGeometry({ positions, colours, normals }: Baked): BufferGeometry {
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(positions, 3));
  geometry.setAttribute('colour', new BufferAttribute(colours, 3));
  geometry.setAttribute('normal', new BufferAttribute(normals, 3));
  return geometry;
}

/** A geometry of lines, two ends each. */
export function lineGeometry(ends: Float32Array): BufferGeometry {
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(ends, 3));
  return geometry;
}
