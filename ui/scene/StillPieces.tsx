import { useThree } from '@react-three/fiber';
import { memo, useDeferredValue, useEffect, useMemo, useState } from 'react';
import type { Piece } from '@/core/course';
import { bakeStill, joinBaked, waterRings } from './bake';
import { newChunker } from './chunks';
import { facetGeometry, lineGeometry } from './geometry';
import { FACETS, FOAM, INK, WATER } from './materials';
import { shallowsOf } from './shallows';
import { shallowTexture } from './shallowTexture';

/** All that stands still, in a few draw calls. */
export function StillPieces({ pieces, tide }: { pieces: readonly Piece[]; tide: number }) {
  const [chunker] = useState(newChunker);
  const chunks = useMemo(() => chunker(pieces), [chunker, pieces]);
  // The foam is of all pieces at once, and may come a moment after them.
  const ringed = useDeferredValue(chunks);
  return (
    <>
      {[...chunks].map(([key, group]) => (
        <Chunk key={key} pieces={group} />
      ))}
      <Rings chunks={ringed} tide={tide} />
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

/** Has the water be drawn shallow about what stands in it. */
function useShallows(chunks: RingsProps['chunks'], tide: number): void {
  const invalidate = useThree((s) => s.invalidate);
  useEffect(() => {
    const found = shallowsOf([...chunks.values()].flat(), tide);
    if (!found) return;
    const texture = shallowTexture(found);
    WATER.uniforms.uShallow.value = texture;
    WATER.uniforms.uShallowBox.value.set(...found.box);
    invalidate();
    return () => {
      WATER.uniforms.uShallowBox.value.z = 0;
      texture.dispose();
    };
  }, [chunks, tide, invalidate]);
}

interface RingsProps {
  readonly chunks: ReadonlyMap<string, readonly Piece[]>;
  readonly tide: number;
}

const Rings = memo(function Rings({ chunks, tide }: RingsProps) {
  useShallows(chunks, tide);
  const geometry = useMemo(() => {
    const rings = [...chunks.values()].map((pieces) => ringsOf(pieces, tide));
    const all = new Float32Array(rings.reduce((sum, { length }) => sum + length, 0));
    let from = 0;
    for (const one of rings) {
      all.set(one, from);
      from += one.length;
    }
    return lineGeometry(all);
  }, [chunks, tide]);
  useEffect(() => () => geometry.dispose(), [geometry]);
  return <lineSegments geometry={geometry} material={FOAM} />;
});

const knownRings = new WeakMap<readonly Piece[], { tide: number; rings: Float32Array }>();

/** The rings of a group, made once for as long as it stays the same. */
function ringsOf(pieces: readonly Piece[], tide: number): Float32Array {
  let known = knownRings.get(pieces);
  if (known?.tide !== tide) {
    known = { tide, rings: new Float32Array(pieces.flatMap((piece) => waterRings(piece, tide))) };
    knownRings.set(pieces, known);
  }
  return known.rings;
}
