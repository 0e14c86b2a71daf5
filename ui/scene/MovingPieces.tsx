import { useEffect, useMemo } from 'react';
import { useFrame } from '@react-three/fiber';
import { BufferAttribute, type BufferGeometry } from 'three';
import type { Piece } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import { applyPose, poseAt, type Motion } from '@/core/motion';
import { worldMotion } from '@/core/pieces';
import { bakeMoving, joinBaked, turns, type Baked } from './bake';
import { facetGeometry, lineGeometry } from './geometry';
import { FACETS, INK } from './materials';

/** What the scene reads of the moment that is shown; changed in place, frame by frame. */
export interface Moment {
  /** Tick for the movers; between two ticks in a run. */
  tick: number;
  /** Ids of the pickups gathered so far, and of what has given way or stands open. */
  gathered: ReadonlySet<string>;
  /** Whether pickups turn. */
  lively: boolean;
}

interface Item {
  readonly piece: Piece;
  readonly motion: Motion | undefined;
  readonly baked: Baked;
  readonly facetFrom: number;
  readonly lineFrom: number;
}

/** Degrees a second that pickups turn. */
const TURN_RATE = 80;

/**
 * Movers and pickups: one geometry for all of them, its corners placed anew for each frame in which
 * something moved. Few corners, so this costs less than a draw call for each would.
 */
export function MovingPieces({
  pieces,
  moment,
}: {
  pieces: readonly Piece[];
  moment: { current: Moment };
}) {
  const { items, facets, lines } = useMemo(() => {
    const list: Item[] = [];
    let facetFrom = 0;
    let lineFrom = 0;
    for (const piece of pieces) {
      const baked = bakeMoving(piece);
      if (baked.positions.length === 0) continue;
      list.push({ piece, motion: worldMotion(piece), baked, facetFrom, lineFrom });
      facetFrom += baked.positions.length;
      lineFrom += baked.lines.length;
    }
    const all = joinBaked(list.map(({ baked }) => baked));
    return { items: list, facets: facetGeometry(all), lines: lineGeometry(all.lines) };
  }, [pieces]);
  useEffect(
    () => () => {
      facets.dispose();
      lines.dispose();
    },
    [facets, lines],
  );
  useFrame(() => {
    const { tick, gathered, lively } = moment.current;
    for (const item of items) {
      const place = placing(item, tick, gathered, lively);
      write(facets, item.facetFrom, item.baked.positions, place);
      write(lines, item.lineFrom, item.baked.lines, place);
    }
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
}

function placing(
  { piece, motion }: Item,
  tick: number,
  gathered: ReadonlySet<string>,
  lively: boolean,
): (p: Vec3) => Vec3 {
  if (motion) {
    const pose = poseAt(motion, tick);
    return (p) => applyPose(pose, p);
  }
  if (gathered.has(piece.id)) return () => piece.at;
  const angle =
    lively && turns(piece) ? ((tick / 120) * TURN_RATE * Math.PI) / 180 + piece.at[0] : 0;
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  return ([x, y, z]) => {
    const [dx, dz] = [x - piece.at[0], z - piece.at[2]];
    return [piece.at[0] + c * dx + s * dz, y, piece.at[2] + c * dz - s * dx];
  };
}

/** Has the corners sent to the card again. */
function renew(geometry: BufferGeometry): void {
  (geometry.attributes.position as BufferAttribute).needsUpdate = true;
}

function write(
  geometry: BufferGeometry,
  from: number,
  rest: Float32Array,
  place: (p: Vec3) => Vec3,
): void {
  const out = geometry.attributes.position.array;
  for (let i = 0; i < rest.length; i += 3) {
    const p = place([rest[i], rest[i + 1], rest[i + 2]]);
    out[from + i] = p[0];
    out[from + i + 1] = p[1];
    out[from + i + 2] = p[2];
  }
}
