import { useThree } from '@react-three/fiber';
import { useEffect, useMemo, useState } from 'react';
import type { GridFrame, PieceInHand, WorkPlane } from '@/core/edit';
import type { Piece } from '@/core/course';
import { mapVec3, type Vec3 } from '@/core/geometry';
import { applyPose, type Motion, poseAt, TICKS_PER_SECOND } from '@/core/motion';
import { pieceBounds, worldMotion, worldParts } from '@/core/pieces';
import { bakeParts, joinBaked } from './bake';
import { boxEdges } from './boxEdges';
import { rigidOffset } from './rigidOffset';
import { facetGeometry, lineGeometry } from './geometry';
import { BRIGHT, CHOSEN, GHOST, GHOST_REFUSED, INK, MOVER_PATH, PLUMB, SKY } from './materials';
import { useDisposal } from './useDisposal';

interface GhostProps {
  /** The piece in hand; its own place does not matter. */
  readonly form: PieceInHand;
  /** Where its foot would land. */
  readonly at: Vec3;
  readonly turn?: Piece['turn'];
  readonly refused: boolean;
  readonly tide: number;
}

/** The piece in hand where it would land, with a line down to the water. */
export function Ghost({ form, at, turn, refused, tide }: GhostProps) {
  const [tx, ty, tz] = turn ?? [0, 0, 0];
  const [facets, lines] = useMemo(() => {
    const baked = bakeParts(
      worldParts({ ...form, turn: [tx, ty, tz], at: [0, 0, 0], id: 'ghost' }),
    );
    return [facetGeometry(baked), lineGeometry(baked.lines)];
  }, [form, tx, ty, tz]);
  const plumb = useMemo(() => lineGeometry(new Float32Array([0, 0, 0, 0, -1, 0])), []);
  useDisposal(facets, lines, plumb);
  const [x, y, z] = at;
  return (
    <group renderOrder={2} position={[x, y, z]}>
      <mesh geometry={facets} material={refused ? GHOST_REFUSED : GHOST} />
      <lineSegments geometry={lines} material={INK} />
      <lineSegments geometry={plumb} material={PLUMB} scale-y={Math.max(0.001, y - tide)} />
    </group>
  );
}

/** Several pieces that would be laid, as a row that is being drawn out. */
export function Ghosts({ pieces }: { pieces: readonly Piece[] }) {
  const [facets, lines] = useMemo(() => {
    const baked = joinBaked(pieces.map((piece) => bakeParts(worldParts(piece))));
    return [facetGeometry(baked), lineGeometry(baked.lines)];
  }, [pieces]);
  useDisposal(facets, lines);
  return (
    <group renderOrder={2}>
      <mesh geometry={facets} material={GHOST} />
      <lineSegments geometry={lines} material={INK} />
    </group>
  );
}

/** How far into the haze goes what cannot be touched. */
const PALED = 0.6;

/** Pieces that can be touched, as bright as ever; all others are pale meanwhile. */
export function Fitting({ pieces }: { pieces: readonly Piece[] }) {
  const [facets, lines] = useMemo(() => {
    const baked = joinBaked(pieces.map((piece) => bakeParts(worldParts(piece))));
    return [facetGeometry(baked), lineGeometry(baked.lines)];
  }, [pieces]);
  useDisposal(facets, lines);
  const invalidate = useThree((s) => s.invalidate);
  useEffect(() => {
    SKY.uPale.value = PALED;
    invalidate();
    return () => {
      SKY.uPale.value = 0;
      invalidate();
    };
  }, [invalidate]);
  return (
    <group renderOrder={1}>
      <mesh geometry={facets} material={BRIGHT} />
      <lineSegments geometry={lines} material={INK} />
    </group>
  );
}

/** Outlines about the chosen pieces, and the way of those that move. */
export function Chosen({ pieces }: { pieces: readonly Piece[] }) {
  const [carrier] = useState(rigidOffset);
  const { pieces: first, by } = useMemo(() => carrier(pieces), [carrier, pieces]);
  const [boxes, ways] = useMemo(() => {
    const edges: number[] = [];
    const paths: number[] = [];
    for (const piece of first) {
      const { low, high } = pieceBounds(piece);
      boxEdges(low, high, 0.06, edges);
      const motion = worldMotion(piece);
      if (motion) motionPath(piece, motion, paths);
    }
    return [lineGeometry(new Float32Array(edges)), lineGeometry(new Float32Array(paths))];
  }, [first]);
  useDisposal(boxes, ways);
  return (
    <group renderOrder={3} position={by}>
      <lineSegments geometry={boxes} material={CHOSEN} />
      <lineSegments geometry={ways} material={MOVER_PATH} />
    </group>
  );
}

interface PlaneGridProps {
  readonly plane: WorkPlane;
  readonly step: number;
  readonly about: Vec3;
  readonly frame: GridFrame;
}

/** Points of a grid about a place on the work plane, as small crosses. */
export function PlaneGrid({ plane, step, about, frame }: PlaneGridProps) {
  const pitch = Math.max(1, step || 1);
  // An upright plane shows the grid as it is seen from its side.
  const turn = plane.axis === 'z' ? 0 : frame.turn;
  const [ox, oy, oz] = frame.origin;
  const [c, s] = [Math.cos((turn * Math.PI) / 180), Math.sin((turn * Math.PI) / 180)];
  const [dx, dz] = [about[0] - ox, about[2] - oz];
  const own: Vec3 = [c * dx - s * dz, about[1] - oy, s * dx + c * dz];
  const [cx, cy, cz] = own.map((v) => Math.round(v / pitch) * pitch);
  const value = plane.value - (plane.axis === 'z' ? oz : oy);
  const geometry = useMemo(() => {
    const ends: number[] = [];
    const reach = 14;
    const arm = 0.05;
    for (let i = -reach; i <= reach; i++) {
      for (let j = -reach; j <= reach; j++) {
        const [u, v] = [i * pitch, j * pitch];
        if (plane.axis === 'z') {
          const [x, y, z] = [cx + u, cy + v, value];
          ends.push(x - arm, y, z, x + arm, y, z, x, y - arm, z, x, y + arm, z);
        } else {
          const [x, y, z] = [cx + u, value, cz + v];
          ends.push(x - arm, y, z, x + arm, y, z, x, y, z - arm, x, y, z + arm);
        }
      }
    }
    return lineGeometry(new Float32Array(ends));
  }, [plane.axis, value, pitch, cx, cy, cz]);
  useDisposal(geometry);
  return (
    <group position={frame.origin} rotation-y={(turn * Math.PI) / 180}>
      <lineSegments geometry={geometry} material={INK} />
    </group>
  );
}

/** Dashes along the way of a mover's middle, or of a swing's tip. */
function motionPath(piece: Piece, motion: Motion, out: number[]): void {
  const moving = worldParts(piece).filter((part) => part.moving);
  const points = moving[moving.length - 1].solid.points;
  const centre = mapVec3((axis) => points.reduce((sum, p) => sum + p[axis], 0) / points.length);
  const at = (part: number): Vec3 =>
    applyPose(poseAt({ ...motion, period: 1, phase: 0 }, part * TICKS_PER_SECOND), centre);
  // From one end of the motion to the other: half of its period.
  const from = motion.kind === 'swing' ? 0.25 : 0;
  for (let i = 0; i < 24; i += 2) out.push(...at(from + i / 48), ...at(from + (i + 1.2) / 48));
}
