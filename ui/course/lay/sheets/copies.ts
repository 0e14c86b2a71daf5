import { chosenOf, mirrorCopies, ringCopies, rowCount, stepCopies, type Copied } from '@/core/edit';
import type { Course } from '@/core/course';
import { middle, sub, unionBounds, type Vec3 } from '@/core/geometry';
import { pieceBounds } from '@/core/pieces';

/** Figures of all ways to copy, kept while the sheet is open; metres and degrees. */
export interface CopyFigures {
  readonly count: number;
  readonly x: number;
  readonly y: number;
  readonly z: number;
  readonly length: number;
  readonly spacing: number;
  readonly axis: 'x' | 'y' | 'z';
  readonly sweep: number;
  readonly rise: number;
  readonly px: number;
  readonly pz: number;
  readonly plane: 'x' | 'z';
  readonly at: number;
}

/** A figure that is a number. */
export type CopyNumber = Exclude<keyof CopyFigures, 'axis' | 'plane'>;

/** A number to fill in. */
export interface CopyField {
  readonly key: CopyNumber;
  readonly label: string | ((f: CopyFigures) => string);
  readonly unit: string;
  readonly step: number;
}

/** One of a few to pick. */
export interface CopyAxis {
  readonly key: 'axis' | 'plane';
  readonly label: string;
  readonly options: readonly ('x' | 'y' | 'z')[];
}

/** One way to copy: what it asks, and what it makes. */
export interface CopyWay {
  readonly label: string;
  readonly axis?: CopyAxis;
  readonly fields: readonly CopyField[];
  /** How many copies it begins with. */
  readonly count: number;
  /** What the figures come to, in words. */
  readonly words?: (f: CopyFigures) => string;
  readonly make: (course: Course, choice: ReadonlySet<string>, f: CopyFigures) => Copied;
  /** The copies alone are chosen after it, else all of them. */
  readonly chooseCopies?: boolean;
}

const round = (v: number) => Math.round(v * 100) / 100;
const rowOf = (f: CopyFigures) => rowCount(f.length, f.spacing);

/** The figures a sheet of copies begins with: side by side, and round what is looked at. */
export function beginCopies(
  course: Course,
  choice: ReadonlySet<string>,
  target: Vec3,
): CopyFigures {
  const bounds = unionBounds(chosenOf(course, choice).map(pieceBounds));
  const size = sub(bounds.high, bounds.low);
  const [x, , z] = middle(bounds);
  const away = Math.hypot(target[0] - x, target[2] - z);
  // Round the middle of the view, unless that is where the pieces stand.
  const pivot: Vec3 = away > Math.max(size[0], size[2]) / 2 ? target : [x, 0, z - 4];
  return {
    count: 3,
    x: round(size[0]),
    y: 0,
    z: 0,
    length: round(size[0] * 5),
    spacing: round(size[0]),
    axis: 'x',
    sweep: 360,
    rise: 0,
    px: Math.round(pivot[0] * 2) / 2,
    pz: Math.round(pivot[2] * 2) / 2,
    plane: 'z',
    at: 0,
  };
}

/** All ways to copy what is chosen. */
export const COPY_WAYS = {
  steps: {
    label: 'Steps',
    count: 3,
    fields: [
      { key: 'count', label: 'Copies', unit: '', step: 1 },
      { key: 'x', label: 'Step x', unit: 'm', step: 0.5 },
      { key: 'y', label: 'Step y', unit: 'm', step: 0.25 },
      { key: 'z', label: 'Step z', unit: 'm', step: 0.5 },
    ],
    make: (course, choice, f) => stepCopies(course, choice, [f.x, f.y, f.z], f.count),
  },
  row: {
    label: 'Row',
    count: 3,
    axis: { key: 'axis', label: 'Along', options: ['x', 'y', 'z'] },
    fields: [
      { key: 'length', label: 'Length', unit: 'm', step: 1 },
      { key: 'spacing', label: 'About every', unit: 'm', step: 0.25 },
    ],
    words: (f) => `${rowOf(f)} copies, ${round(f.length / rowOf(f))} m apart.`,
    make: (course, choice, f) => {
      const apart = f.length / rowOf(f);
      const step = (['x', 'y', 'z'] as const).map((axis) => (axis === f.axis ? apart : 0));
      return stepCopies(course, choice, step as [number, number, number], rowOf(f));
    },
  },
  ring: {
    label: 'Ring',
    count: 8,
    fields: [
      { key: 'count', label: 'In the ring', unit: '', step: 1 },
      { key: 'sweep', label: 'Round by', unit: '°', step: 15 },
      { key: 'rise', label: 'Each higher by', unit: 'm', step: 0.25 },
      { key: 'px', label: 'Middle x', unit: 'm', step: 0.5 },
      { key: 'pz', label: 'Middle z', unit: 'm', step: 0.5 },
    ],
    make: (course, choice, f) => ringCopies(course, choice, [f.px, f.pz], f.count, f.sweep, f.rise),
  },
  mirror: {
    label: 'Mirror',
    count: 3,
    axis: { key: 'plane', label: 'Over a plane square to', options: ['x', 'z'] },
    fields: [{ key: 'at', label: (f) => `Through ${f.plane}`, unit: 'm', step: 0.5 }],
    make: (course, choice, f) => mirrorCopies(course, choice, { axis: f.plane, at: f.at }),
    chooseCopies: true,
  },
} as const satisfies Record<string, CopyWay>;

/** A way to copy, by name. */
export type CopyKind = keyof typeof COPY_WAYS;
