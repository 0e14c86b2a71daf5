import type { RunnerKind } from '@/core/course';
import {
  box,
  extrude,
  facetedBall,
  mapPoints,
  prism,
  regularOutline,
  stack,
  type Polyhedron,
  type Vec3,
} from '@/core/geometry';
import type { Part } from '@/core/pieces';
import { runnerOf } from '@/core/run';

export type RunnerPart = Pick<Part, 'solid' | 'tone'>;

/** A runner's look: what goes with it, and what swings or turns on it. Its foot is at the origin. */
export interface RunnerForm {
  readonly radius: number;
  readonly body: readonly RunnerPart[];
  readonly limbs: readonly { readonly at: Vec3; readonly parts: readonly RunnerPart[] }[];
}

const shifted = (solid: Polyhedron, [dx, dy, dz]: Vec3): Polyhedron =>
  mapPoints(solid, ([x, y, z]) => [x + dx, y + dy, z + dz]);

/** A pebble on two legs. */
function hopper(): Omit<RunnerForm, 'radius'> {
  const squash = ([x, y, z]: Vec3): Vec3 => [x * 1.05, (y - 0.58) * 0.92 + 0.58, z];
  const leg: RunnerPart[] = [{ solid: box([-0.05, -0.3, -0.05], [0.05, 0, 0.05]), tone: 'slate' }];
  return {
    body: [
      { solid: mapPoints(facetedBall([0, 0.58, 0], 0.32), squash), tone: 'slate' },
      { solid: box([0.26, 0.62, -0.16], [0.33, 0.7, -0.08]), tone: 'lamp' },
      { solid: box([0.26, 0.62, 0.08], [0.33, 0.7, 0.16]), tone: 'lamp' },
    ],
    limbs: [
      { at: [0, 0.3, -0.12], parts: leg },
      { at: [0, 0.3, 0.12], parts: leg },
    ],
  };
}

/** A round stone with bands of moss and slate, so that one sees it roll. */
function roller(radius: number): Omit<RunnerForm, 'radius'> {
  const band = (y: number, r: number, tall: number, tone: RunnerPart['tone']): RunnerPart => ({
    solid: shifted(prism(regularOutline(12, r), 0, tall), [0, y, 0]),
    tone,
  });
  return {
    body: [
      { solid: facetedBall([0, 0, 0], radius), tone: 'stone' },
      band(-0.05, radius * 1.015, 0.1, 'moss'),
      band(radius * 0.82, radius * 0.52, radius * 0.16, 'lamp'),
      band(-radius * 0.98, radius * 0.52, radius * 0.16, 'flag'),
    ],
    limbs: [],
  };
}

/** A barrow: a tray on three wheels, its shafts behind. */
function cart(): Omit<RunnerForm, 'radius'> {
  const tray: readonly (readonly [number, number])[] = [
    [-0.5, 0.42],
    [0.55, 0.36],
    [0.72, 0.78],
    [-0.62, 0.72],
  ];
  const wheel: RunnerPart[] = [
    { solid: extrude(regularOutline(10, 0.22), 0.12), tone: 'slate' },
    { solid: extrude(regularOutline(6, 0.08), 0.15), tone: 'lamp' },
  ];
  return {
    body: [
      { solid: extrude(tray, 0.62), tone: 'timber' },
      { solid: box([-0.44, 0.34, -0.26], [0.5, 0.4, 0.26]), tone: 'slate' },
      { solid: box([-1.05, 0.6, -0.3], [-0.5, 0.68, -0.24]), tone: 'timber' },
      { solid: box([-1.05, 0.6, 0.24], [-0.5, 0.68, 0.3]), tone: 'timber' },
      { solid: box([0.62, 0.58, -0.1], [0.74, 0.72, 0.1]), tone: 'lamp' },
    ],
    limbs: [
      { at: [0.5, 0.22, 0], parts: wheel },
      { at: [-0.42, 0.22, -0.34], parts: wheel },
      { at: [-0.42, 0.22, 0.34], parts: wheel },
    ],
  };
}

/** A puck with a lamp's ring on its crown. */
function flick(radius: number): Omit<RunnerForm, 'radius'> {
  return {
    body: [
      {
        solid: stack([
          { outline: regularOutline(14, radius * 0.82), y: 0 },
          { outline: regularOutline(14, radius * 1.1), y: 0.08 },
          { outline: regularOutline(14, radius * 1.1), y: 0.22 },
          { outline: regularOutline(14, radius * 0.8), y: 0.3 },
        ]),
        tone: 'slate',
      },
      {
        solid: shifted(prism(regularOutline(10, radius * 0.5), 0, 0.05), [0, 0.3, 0]),
        tone: 'lamp',
      },
    ],
    limbs: [],
  };
}

export function runnerForm(kind: RunnerKind): RunnerForm {
  const { radius } = runnerOf({ kind }).body;
  const look = { hopper, cart, roller: () => roller(radius), flick: () => flick(radius) }[kind]();
  return { radius, ...look };
}
