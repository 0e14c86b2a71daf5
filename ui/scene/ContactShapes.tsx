import { useEffect, useMemo } from 'react';
import { useFrame } from '@react-three/fiber';
import { BufferAttribute, type BufferGeometry } from 'three';
import type { Course, Piece } from '@/core/course';
import { facetedBall, mapPoints, rounded, type Polyhedron } from '@/core/geometry';
import { applyPose, STILL, type Pose } from '@/core/motion';
import { contactShapes, toWorld, type Shape } from '@/core/pieces';
import { bakeParts, joinBaked, type Baked } from './bake';
import { facetGeometry, lineGeometry } from './geometry';
import { SHAPE, SHAPE_EDGE } from './materials';
import type { FrameState } from './frameState';

interface Item {
  readonly piece: string;
  readonly moving: boolean;
  readonly baked: Baked;
  readonly from: number;
  readonly linesFrom: number;
  pose: Pose | null;
}

/** What a shape looks like: a ball, or its solid as far as it is rounded. */
export const shapeSolid = ({ form }: Shape): Polyhedron =>
  form.kind === 'ball'
    ? facetedBall(form.centre, form.radius)
    : form.round
      ? rounded(form.solid, form.round)
      : form.solid;

/** The collision shapes over the pictures of some pieces, wherever the moment has taken them. */
export function ContactShapes({
  course,
  pieces,
  moment,
}: {
  course: Pick<Course, 'collides' | 'shapes' | 'allowances'>;
  pieces: readonly Piece[];
  moment: { current: FrameState };
}) {
  const { collides, shapes, allowances } = course;
  const { items, facets, lines } = useMemo(() => {
    const list: Item[] = [];
    let from = 0;
    let linesFrom = 0;
    for (const piece of pieces) {
      const place = toWorld(piece);
      for (const shape of contactShapes({ collides, shapes, allowances }, piece)) {
        const solid = mapPoints(shapeSolid(shape), place);
        const baked = bakeParts([{ solid, tone: 'mover' }]);
        list.push({
          piece: piece.id,
          moving: shape.moving === true,
          baked,
          from,
          linesFrom,
          pose: null,
        });
        from += baked.positions.length;
        linesFrom += baked.lines.length;
      }
    }
    const all = joinBaked(list.map(({ baked }) => baked));
    return { items: list, facets: facetGeometry(all), lines: lineGeometry(all.lines) };
  }, [collides, shapes, allowances, pieces]);
  useEffect(
    () => () => {
      facets.dispose();
      lines.dispose();
    },
    [facets, lines],
  );
  useFrame(() => follow(items, moment.current, facets, lines));
  return (
    <group renderOrder={4}>
      <mesh geometry={facets} material={SHAPE} frustumCulled={false} />
      <lineSegments geometry={lines} material={SHAPE_EDGE} frustumCulled={false} />
    </group>
  );
}

/** Writes anew what has another pose than it was written by. */
function follow(
  items: readonly Item[],
  { posing }: FrameState,
  facets: BufferGeometry,
  lines: BufferGeometry,
): void {
  let changed = false;
  for (const item of items) {
    const poses = posing(item.piece);
    const pose = item.moving ? poses.part : poses.whole;
    if (item.pose === pose || (item.pose === null && pose === STILL)) continue;
    item.pose = pose;
    changed = true;
    write(facets, item.from, item.baked.positions, pose);
    write(lines, item.linesFrom, item.baked.lines, pose);
  }
  if (!changed) return;
  for (const geometry of [facets, lines]) {
    (geometry.attributes.position as BufferAttribute).needsUpdate = true;
  }
}

function write(geometry: BufferGeometry, from: number, rest: Float32Array, pose: Pose): void {
  const out = geometry.attributes.position.array;
  for (let i = 0; i < rest.length; i += 3) {
    const p = applyPose(pose, [rest[i], rest[i + 1], rest[i + 2]]);
    for (let k = 0; k < 3; k++) out[from + i + k] = p[k];
  }
}
