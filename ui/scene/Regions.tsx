import { useEffect, useMemo } from 'react';
import type { Piece } from '@/core/course';
import { worldParts } from '@/core/pieces';
import { bakeParts } from './bake';
import { facetGeometry, lineGeometry } from './geometry';
import { REGION, REGION_EDGE } from './materials';

/** Volumes that are only felt in a run, shown while building: thin, so that what is in them is seen. */
export function Regions({ pieces }: { pieces: readonly Piece[] }) {
  const [facets, lines] = useMemo(() => {
    const parts = pieces
      .flatMap(worldParts)
      .filter(({ unseen }) => unseen)
      .map((part) => ({ ...part, unseen: false }));
    const baked = bakeParts(parts);
    return [facetGeometry(baked), lineGeometry(baked.lines)];
  }, [pieces]);
  useEffect(
    () => () => {
      facets.dispose();
      lines.dispose();
    },
    [facets, lines],
  );
  return (
    <group renderOrder={1}>
      <mesh geometry={facets} material={REGION} />
      <lineSegments geometry={lines} material={REGION_EDGE} />
    </group>
  );
}
