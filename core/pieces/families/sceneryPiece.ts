import { facetedBall, mapPoints, type Polyhedron, type Vec3 } from '../../geometry';
import type { Family, PieceGeometry, Spec, Tone } from '../family';
import { pieceFrom, type PartSpec } from '../parts';

/** Scenery: what is drawn of it also touches where a course says that it does. */
export const scenery = (
  told: Pick<Family, 'id' | 'label' | 'words' | 'size' | 'light'> & {
    readonly material: Tone;
    readonly params?: Family['params'];
  },
  bits: (spec: Spec) => readonly PartSpec[],
): Family => ({
  params: [],
  ...told,
  group: 'scenery',
  words: `scenery ${told.words}`,
  sizable: true,
  build: (spec): PieceGeometry => pieceFrom(spec.tone, bits(spec)),
});

/** A ball of flat faces about a middle, in a box of a size. */
export const lump = ([x, y, z]: Vec3, [w, h, d]: Vec3): Polyhedron =>
  mapPoints(facetedBall([0, 0, 0], 0.5), (p) => [p[0] * w + x, p[1] * h + y, p[2] * d + z]);
