import { useMemo } from 'react';
import type { CourseDifference, Piece } from '@/core/course';
import { middle } from '@/core/geometry';
import { pieceBounds, worldParts } from '@/core/pieces';
import { bakeParts, joinBaked } from './bake';
import { boxEdges } from './boxEdges';
import { facetGeometry, lineGeometry } from './geometry';
import { COMPARED, GHOST_REFUSED } from './materials';
import { useDisposal } from './useDisposal';

/** How far outlines stand off what they are about, m: a piece chosen has one of its own. */
const OFF = 0.1;
/** Most pieces that are gone whose bodies are drawn; of more there are outlines alone. */
const MOST_BODIES = 300;

/** What tells a course from an earlier version: outlines about what came, is gone, was moved and was changed. */
export function ComparedMarks({
  difference,
}: {
  readonly difference: Omit<CourseDifference, 'fields'>;
}) {
  const { added, removed, moved, changed } = difference;
  const [came, gone, ways, others] = useMemo(
    () => [
      outlines(added),
      outlines(removed),
      lineGeometry(
        new Float32Array(
          moved.flatMap(({ was, is }) => [
            ...edgesOf(was),
            ...edgesOf(is),
            ...middle(pieceBounds(was)),
            ...middle(pieceBounds(is)),
          ]),
        ),
      ),
      outlines(changed.map(({ is }) => is)),
    ],
    [added, removed, moved, changed],
  );
  const bodies = useMemo(
    () =>
      facetGeometry(
        joinBaked(removed.slice(0, MOST_BODIES).map((piece) => bakeParts(worldParts(piece)))),
      ),
    [removed],
  );
  useDisposal(came, gone, ways, others, bodies);
  return (
    <group renderOrder={3}>
      <mesh geometry={bodies} material={GHOST_REFUSED} />
      <lineSegments geometry={came} material={COMPARED.came} />
      <lineSegments geometry={gone} material={COMPARED.gone} />
      <lineSegments geometry={ways} material={COMPARED.moved} />
      <lineSegments geometry={others} material={COMPARED.changed} />
    </group>
  );
}

function edgesOf(piece: Piece): number[] {
  const edges: number[] = [];
  const { low, high } = pieceBounds(piece);
  boxEdges(low, high, OFF, edges);
  return edges;
}

const outlines = (pieces: readonly Piece[]) =>
  lineGeometry(new Float32Array(pieces.flatMap(edgesOf)));
