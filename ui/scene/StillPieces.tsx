import { memo, useDeferredValue, useEffect, useMemo, useState } from 'react';
import type { Piece } from '@/core/course';
import { bakeStill, joinBaked, waterRings } from './bake';
import { newChunker } from './chunks';
import { facetGeometry, lineGeometry } from './geometry';
import { FACETS, FOAM, INK } from './materials';

/** All that stands still, in a few draw calls. */
export function StillPieces({ pieces, tide }: { pieces: readonly Piece[]; tide: number }) {
  const [chunker] = useState(newChunker);
  const chunks = useMemo(() => chunker(pieces), [chunker, pieces]);
  // The foam is of all pieces at once, and may come a moment after them.
  const ringed = useDeferredValue(pieces);
  return (
    <>
      {[...chunks].map(([key, group]) => (
        <Chunk key={key} pieces={group} />
      ))}
      <Rings pieces={ringed} tide={tide} />
    </>
  );
}

const Chunk = memo(function Chunk({ pieces }: { pieces: readonly Piece[] }) {
  const [facets, lines] = useMemo(() => {
    const baked = joinBaked(pieces.map(bakeStill));
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
    <>
      <mesh geometry={facets} material={FACETS} />
      <lineSegments geometry={lines} material={INK} />
    </>
  );
});

const Rings = memo(function Rings({ pieces, tide }: { pieces: readonly Piece[]; tide: number }) {
  const geometry = useMemo(
    () => lineGeometry(new Float32Array(pieces.flatMap((piece) => waterRings(piece, tide)))),
    [pieces, tide],
  );
  useEffect(() => () => geometry.dispose(), [geometry]);
  return <lineSegments geometry={geometry} material={FOAM} />;
});
