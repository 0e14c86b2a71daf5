import { create } from 'zustand';
import type { Ray } from '@/core/edit';
import type { Course } from '@/core/course';
import { mapVec3, type Vec3 } from '@/core/geometry';
import { pieceBounds } from '@/core/pieces';
import { axes, type Eye, eyePlace, TAN_HALF_FIELD } from '@/core/sight';
import { fitInto } from './fitInto';

export const VIEW_MODES = ['side', 'above', 'free'] as const;
export type ViewMode = (typeof VIEW_MODES)[number];

export interface View extends Eye {
  readonly mode: ViewMode;
  /** Size of the canvas, pixels. */
  readonly width: number;
  readonly height: number;
  /** Metres a pace of flying goes. */
  readonly speed: number;
  look: (change: Partial<Eye & { mode: ViewMode }>) => void;
  resize: (width: number, height: number) => void;
  /** Moves the place looked at by pixels over the picture. */
  pan: (dx: number, dy: number) => void;
  zoom: (factor: number) => void;
  orbit: (dx: number, dy: number) => void;
  /** Turns the picture by degrees, where the view may turn without being another one. */
  twist: (degrees: number) => void;
  /** Moves the eye and what it looks at: to the right, up, and ahead over the map, by whole paces. */
  fly: (right: number, up: number, ahead: number) => void;
  /** Changes how far one pace goes. */
  pace: (factor: number) => void;
  setMode: (mode: ViewMode) => void;
  fit: (course: Course, ids?: ReadonlySet<string>) => void;
}

/** How near and how far the eye may be from what it looks at, m. */
const [NEAREST, FARTHEST] = [4, 4000];
const within = (distance: number) => Math.min(FARTHEST, Math.max(NEAREST, distance));

const TILTS: Record<ViewMode, { yaw: number; pitch: number }> = {
  side: { yaw: 0, pitch: 9 },
  above: { yaw: 0, pitch: 89.5 },
  free: { yaw: -32, pitch: 32 },
};

/** The eye of the open course. */
export const useView = create<View>()((set, get) => ({
  target: [0, 1, 0],
  distance: 22,
  ...TILTS.side,
  mode: 'side',
  width: 390,
  height: 600,
  speed: 2,
  look: (change) => set(change),
  resize: (width, height) => set({ width, height }),
  pan: (dx, dy) => {
    const { target, distance, height } = get();
    const scale = (2 * distance * TAN_HALF_FIELD) / height;
    const { right, up } = axes(get());
    set({
      target: mapVec3((i) => target[i] - right[i] * dx * scale + up[i] * dy * scale),
    });
  },
  zoom: (factor) => set({ distance: within(get().distance * factor) }),
  orbit: (dx, dy) => {
    const { yaw, pitch } = get();
    set({
      mode: 'free',
      yaw: yaw - dx * 0.3,
      // The eye stays above the water.
      pitch: Math.min(89.5, Math.max(3, pitch + dy * 0.3)),
    });
  },
  twist: (degrees) => {
    const { mode, yaw } = get();
    if (mode !== 'side') set({ yaw: yaw - degrees });
  },
  fly: (right, up, ahead) => {
    const { target, yaw, speed } = get();
    const a = (yaw * Math.PI) / 180;
    const [c, s] = [Math.cos(a), Math.sin(a)];
    set({
      target: [
        target[0] + speed * (right * c + ahead * s),
        Math.max(-2, target[1] + speed * up),
        target[2] + speed * (right * s - ahead * c),
      ],
    });
  },
  pace: (factor) => set({ speed: Math.min(400, Math.max(0.25, get().speed * factor)) }),
  setMode: (mode) => set({ mode, ...TILTS[mode] }),
  fit: (course, ids) => {
    const pieces = course.pieces.filter(({ id }) => !ids || ids.has(id));
    if (pieces.length === 0) return;
    const { target, distance } = fitInto(get(), axes(get()), pieces.map(pieceBounds));
    set({ target, distance: within(distance) });
  },
}));

/** How long a picture that is given another form keeps what it was told to show, ms. */
const SETTLES = 1000;

/** Steps back, or nearer, until the picture is so many metres wide, also after panels about it have made room. */
export function showAcross(metres: number): void {
  const apply = () => {
    const { width, height, look } = useView.getState();
    look({ distance: within((metres * height) / (2 * TAN_HALF_FIELD * width)) });
  };
  apply();
  const stop = useView.subscribe((now, before) => {
    if (now.height !== before.height || now.width !== before.width) apply();
  });
  setTimeout(stop, SETTLES);
}

/** The eye that stands at a place and looks at another. */
export function lookFrom(at: Vec3, target: Vec3): Eye & { mode: 'free' } {
  const [dx, dy, dz] = [target[0] - at[0], target[1] - at[1], target[2] - at[2]];
  const degrees = 180 / Math.PI;
  return {
    mode: 'free',
    target,
    distance: Math.max(4, Math.hypot(dx, dy, dz)),
    yaw: Math.atan2(dx, -dz) * degrees,
    pitch: Math.min(89.5, Math.atan2(-dy, Math.hypot(dx, dz)) * degrees),
  };
}

/** The line from the eye through a pixel of the canvas. */
export function rayAt(view: Eye & { width: number; height: number }, px: number, py: number): Ray {
  const { right, up, ahead } = axes(view);
  const x = ((2 * px) / view.width - 1) * TAN_HALF_FIELD * (view.width / view.height);
  const y = (1 - (2 * py) / view.height) * TAN_HALF_FIELD;
  return {
    from: eyePlace(view),
    along: mapVec3((i) => ahead[i] + right[i] * x + up[i] * y),
  };
}

/** How many metres a pixel is wide at a place. */
export function metresAPixel(view: Eye & { height: number }, p: Vec3): number {
  const { ahead } = axes(view);
  const eye = eyePlace(view);
  const depth = [0, 1, 2].reduce((sum, i) => sum + (p[i] - eye[i]) * ahead[i], 0);
  return (2 * TAN_HALF_FIELD * Math.max(0.1, depth)) / view.height;
}

/** The pixel at which a place is seen, or null behind the eye. */
export function pixelOf(
  view: Eye & { width: number; height: number },
  p: Vec3,
): [number, number] | null {
  const { right, up, ahead } = axes(view);
  const eye = eyePlace(view);
  const d = [p[0] - eye[0], p[1] - eye[1], p[2] - eye[2]];
  const along = (v: Vec3) => v[0] * d[0] + v[1] * d[1] + v[2] * d[2];
  const depth = along(ahead);
  if (depth <= 0.1) return null;
  const scale = view.height / (2 * TAN_HALF_FIELD * depth);
  return [view.width / 2 + along(right) * scale, view.height / 2 - along(up) * scale];
}
