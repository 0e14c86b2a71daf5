import { memo, useEffect, useMemo, useState } from 'react';
import { useFrame } from '@react-three/fiber';
import type { BufferAttribute, BufferGeometry } from 'three';
import type { Piece } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import { bakeMoving, bakeWhole, joinBaked, type Baked } from './bake';
import { newChunker } from './chunks';
import { facetGeometry, lineGeometry } from './geometry';
import { FACETS, INK } from './materials';
import type { FrameState } from './frameState';
import { place, type Item } from './placing';

interface MovingProps {
  readonly pieces: readonly Piece[];
  /** Those of which all may move or go, not only a part. */
  readonly lively: ReadonlySet<string>;
  readonly moment: { current: FrameState };
  /** How far what is drawn here is moved as a whole, m: poses are where it is moved to. */
  readonly carried?: Vec3;
}

const NOWHERE: Vec3 = [0, 0, 0];

/** Groups that what moves is drawn in: each takes two draw calls. */
const MOST_GROUPS = 6;

/** Movers, pickups and what comes and goes. */
export const MovingPieces = memo(function MovingPieces({
  pieces,
  lively,
  moment,
  carried = NOWHERE,
}: MovingProps) {
  const [chunker] = useState(() => newChunker(MOST_GROUPS));
  const groups = useMemo(() => chunker(pieces), [chunker, pieces]);
  return (
    <>
      {[...groups].map(([key, group]) => (
        <Group key={key} pieces={group} lively={lively} moment={moment} carried={carried} />
      ))}
    </>
  );
});

/**
 * What moves of one neighbourhood as one geometry, in which the corners of what moved are placed anew for
 * each frame. Few corners, so this costs less than a draw call for each would.
 */
const Group = memo(function Group({
  pieces,
  lively,
  moment,
  carried,
}: MovingProps & { readonly carried: Vec3 }) {
  const { items, facets, lines } = useMemo(() => {
    const list: Item[] = [];
    let facetFrom = 0;
    let lineFrom = 0;
    const add = (piece: Piece, baked: Baked, whole: boolean) => {
      if (baked.positions.length === 0) return;
      list.push({ piece, baked, whole, facetFrom, lineFrom, pose: null, carried, gone: false });
      facetFrom += baked.positions.length;
      lineFrom += baked.lines.length;
    };
    for (const piece of pieces) {
      add(piece, bakeMoving(piece), false);
      if (lively.has(piece.id)) add(piece, bakeWhole(piece), true);
    }
    const all = joinBaked(list.map(({ baked }) => baked));
    return { items: list, facets: facetGeometry(all), lines: lineGeometry(all.lines) };
    // What it is carried by is only where it begins.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [pieces, lively]);
  useEffect(
    () => () => {
      facets.dispose();
      lines.dispose();
    },
    [facets, lines],
  );
  useFrame(() => {
    const [corners, ends] = [cornersOf(facets), cornersOf(lines)];
    let changed = false;
    for (const item of items) {
      changed = place(item, moment.current, carried, corners, ends) || changed;
    }
    if (!changed) return;
    renew(facets);
    renew(lines);
  });
  if (items.length === 0) return null;
  return (
    <>
      <mesh geometry={facets} material={FACETS} frustumCulled={false} />
      <lineSegments geometry={lines} material={INK} frustumCulled={false} />
    </>
  );
});

/** Whether anything of a piece moves when the piece as a whole does not. */
export const movesInPart = (piece: Piece): boolean => bakeMoving(piece).positions.length > 0;

const cornersOf = ({ attributes }: BufferGeometry) => attributes.position.array as Float32Array;

/** Has the corners sent to the card again. */
function renew(geometry: BufferGeometry): void {
  (geometry.attributes.position as BufferAttribute).needsUpdate = true;
}
