import { memo, useEffect, useMemo, useState } from 'react';
import { useFrame } from '@react-three/fiber';
import { BufferAttribute, type BufferGeometry } from 'three';
import type { Piece } from '@/core/course';
import { add, sub, type Vec3 } from '@/core/geometry';
import { applyPose, STILL, type Pose } from '@/core/motion';
import type { Posing } from '@/core/run';
import { bakeMoving, bakeWhole, joinBaked, turns, type Baked } from './bake';
import { newChunker } from './chunks';
import { facetGeometry, lineGeometry } from './geometry';
import { FACETS, INK } from './materials';

/** What the scene reads of the moment that is shown; changed in place, frame by frame. */
export interface Moment {
  /** Tick, between two ticks in a run. */
  tick: number;
  /** Where everything that moves is. */
  posing: Posing;
  /** Ids of what is not to be seen: gathered, given way, open, hidden or broken. */
  gone: ReadonlySet<string>;
  /** Whether pickups turn. */
  lively: boolean;
}

const AT_REST = { whole: STILL, part: STILL };
/** Everything where it rests. */
export const restingMoment = (lively = false): Moment => ({
  tick: 0,
  posing: () => AT_REST,
  gone: new Set(),
  lively,
});

interface Item {
  readonly piece: Piece;
  readonly baked: Baked;
  readonly whole: boolean;
  readonly facetFrom: number;
  readonly lineFrom: number;
  /** What it was last written by, so that what stays is not written again. */
  pose: Pose | null;
  carried: Vec3;
  gone: boolean;
}

/** Degrees a second that pickups turn. */
const TURN_RATE = 80;

interface MovingProps {
  readonly pieces: readonly Piece[];
  /** Those of which all may move or go, not only a part. */
  readonly lively: ReadonlySet<string>;
  readonly moment: { current: Moment };
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
    let changed = false;
    for (const item of items)
      changed = place(item, moment.current, carried, facets, lines) || changed;
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

/** Writes an item's corners where the moment has them. Returns whether anything was written. */
function place(
  item: Item,
  { tick, posing, gone, lively }: Moment,
  carried: Vec3,
  facets: BufferGeometry,
  lines: BufferGeometry,
): boolean {
  const { piece, baked, whole } = item;
  const poses = posing(piece.id);
  const pose = whole ? poses.whole : poses.part;
  const away = gone.has(piece.id);
  const spins = lively && !away && turns(piece);
  const stays = pose === STILL || item.carried === carried;
  if (!spins && item.pose === pose && item.gone === away && stays) return false;
  item.carried = carried;
  item.pose = spins ? null : pose;
  item.gone = away;
  const angle = spins ? ((tick / 120) * TURN_RATE * Math.PI) / 180 + piece.at[0] : 0;
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  const [ox, oy, oz] = piece.at;
  const write = (geometry: BufferGeometry, from: number, rest: Float32Array) => {
    const out = geometry.attributes.position.array;
    for (let i = 0; i < rest.length; i += 3) {
      let [x, y, z] = away ? [ox, oy, oz] : [rest[i], rest[i + 1], rest[i + 2]];
      if (spins) [x, z] = [ox + c * (x - ox) + s * (z - oz), oz + c * (z - oz) - s * (x - ox)];
      if (pose !== STILL) {
        [x, y, z] = sub(applyPose(pose, add([x, y, z], carried)), carried);
      }
      out[from + i] = x;
      out[from + i + 1] = y;
      out[from + i + 2] = z;
    }
  };
  write(facets, item.facetFrom, baked.positions);
  write(lines, item.lineFrom, baked.lines);
  return true;
}

/** Has the corners sent to the card again. */
function renew(geometry: BufferGeometry): void {
  (geometry.attributes.position as BufferAttribute).needsUpdate = true;
}
