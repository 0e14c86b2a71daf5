import { useEffect, useMemo } from 'react';
import { paintedFaces } from '@/core/edit';
import type { Course } from '@/core/course';
import { bakeFaces } from './bake';
import { facetGeometry } from './geometry';
import { GROUND } from './materials';

/** The paint on the ground of a course. */
export function GroundPaint({ course }: { course: Pick<Course, 'ground' | 'pieces'> }) {
  const { ground, pieces } = course;
  // Where nothing is painted, pieces may change as they like.
  const under = ground ? pieces : null;
  const geometry = useMemo(
    () =>
      ground && under ? facetGeometry(bakeFaces(paintedFaces({ ground, pieces: under }))) : null,
    [ground, under],
  );
  useEffect(() => () => geometry?.dispose(), [geometry]);
  return geometry && <mesh geometry={geometry} material={GROUND} renderOrder={1} />;
}
