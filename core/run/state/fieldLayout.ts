/** What the regions about the runner do to it, as places in RunState.field. */
export const FieldIndex = {
  /** Change of speed, m/s². */
  pushX: 0,
  pushY: 1,
  pushZ: 2,
  /** A boost's change of speed, m/s², its direction, and the speed it goes up to. */
  boost: 3,
  boostX: 4,
  boostY: 5,
  boostZ: 6,
  boostTop: 7,
  /** Parts of the usual pace and hold. */
  pace: 8,
  grip: 9,
  /** Speed off the ground, m/s; 0 for none. */
  bounce: 10,
  /** Gravity, m/s². */
  gravityX: 11,
  gravityY: 12,
  gravityZ: 13,
  /** The region of a camera and of quiet the runner is in, as a collider and one, or 0. */
  camera: 14,
  quiet: 15,
  /** The room of the region that gravity is told by, m³, or 0 for the course's own. */
  weighs: 16,
} as const;

export const FIELD_SIZE = 17;
