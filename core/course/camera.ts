import * as v from 'valibot';
import { between, coordinate, oneOf, triple } from './values';

export const CAMERAS = ['side', 'behind', 'above', 'fixed'] as const;

/** How players see the course. */
export const CameraSchema = v.looseObject({
  kind: oneOf(CAMERAS, 'camera'),
  /** Metres from the runner to the eye. */
  distance: v.optional(between(2, 120)),
  /** Degrees by which it looks down. */
  pitch: v.optional(between(-20, 89)),
  /** Metres it looks ahead of the runner. */
  ahead: v.optional(between(0, 20)),
  /** Where a camera that stays stands. */
  at: v.optional(triple(coordinate)),
});

/** From where the course's own picture is taken. */
export const PictureSchema = v.looseObject({
  /** Where the eye stands and what it looks at, m. */
  at: triple(coordinate),
  look: triple(coordinate),
  /** Height of what it shows, in degrees; a narrow field draws what is far together. */
  field: v.optional(between(8, 100)),
});

export type PictureCamera = v.InferOutput<typeof PictureSchema>;
export type CourseCamera = v.InferOutput<typeof CameraSchema>;
export type CameraKind = CourseCamera['kind'];
