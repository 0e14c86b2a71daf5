import type { PieceInHand } from '@/core/edit';
import type { Material } from '@/core/course';
import type { Vec3 } from '@/core/geometry';

/** A block whose top is at `top`, reaching down into the tide. */
export const stone = (
  x: number,
  top: number,
  width: number,
  {
    z = 0,
    depth = 2.4,
    height = 3.2,
    material,
  }: { z?: number; depth?: number; height?: number; material?: Material } = {},
): PieceInHand => ({
  family: 'block',
  at: [x, round(top - height), z],
  size: [width, height, depth],
  ...(material ? { look: { material } } : {}),
});

/** Shells at places of their foot. */
export const shells = (...places: Vec3[]): PieceInHand[] =>
  places.map(([x, y, z]) => ({ family: 'shell', at: [x, y, z] }));

const round = (v: number) => Math.round(v * 1000) / 1000;
