import * as v from 'valibot';

export const COURSE_FORMAT = 'stone-hop-course';
export const COURSE_VERSION = 1;

/** How far from the origin a piece may stand, metres. */
export const BOUNDS = 2000;
export const MAX_PIECES = 20_000;

const finite = v.pipe(v.number('is not a number'), v.finite('is not a finite number'));
const coordinate = v.pipe(
  finite,
  v.minValue(-BOUNDS, `is below -${BOUNDS} m`),
  v.maxValue(BOUNDS, `is above ${BOUNDS} m`),
);
const angle = v.pipe(finite, v.minValue(-360, 'is below -360°'), v.maxValue(360, 'is above 360°'));
const extent = v.pipe(
  finite,
  v.minValue(0.05, 'is smaller than 0.05 m'),
  v.maxValue(200, 'is larger than 200 m'),
);
const triple = <T extends typeof coordinate | typeof angle | typeof extent>(item: T) =>
  v.strictTuple([item, item, item], 'is not a list of three numbers');
const text = (most: number) =>
  v.pipe(v.string('is not text'), v.maxLength(most, `is longer than ${most} characters`));
const identifier = v.pipe(
  text(64),
  v.regex(/^[A-Za-z0-9_-]+$/, 'may hold letters, digits, - and _ only'),
);
const seconds = v.pipe(
  finite,
  v.minValue(0.1, 'is shorter than 0.1 s'),
  v.maxValue(3600, 'is longer than an hour'),
);

export const MATERIALS = ['stone', 'slate', 'timber', 'moss'] as const;
export type Material = (typeof MATERIALS)[number];

export const PieceSchema = v.looseObject({
  id: identifier,
  family: identifier,
  /** Where the middle of the piece's foot stands, metres. */
  at: triple(coordinate),
  /** Degrees about x, y and z; see turnMatrix. Left out when all are 0. */
  turn: v.optional(triple(angle)),
  /** Width, height and depth in metres. Left out when it is the family's default. */
  size: v.optional(triple(extent)),
  /** The family's own settings that differ from their defaults. */
  params: v.optional(v.record(text(40), v.union([finite, text(40)]))),
  look: v.optional(
    v.looseObject({ material: v.optional(v.picklist(MATERIALS, 'is no known material')) }),
  ),
  name: v.optional(text(60)),
});

export const HopperSettingsSchema = v.looseObject({
  /** Greatest running speed, m/s. */
  topSpeed: v.optional(v.pipe(finite, v.minValue(1), v.maxValue(30))),
  /** Height of a fully held jump from level ground, m. */
  jumpHeight: v.optional(v.pipe(finite, v.minValue(0.2), v.maxValue(10))),
  /** Downward acceleration, m/s². */
  gravity: v.optional(v.pipe(finite, v.minValue(3), v.maxValue(60))),
});

export const TargetsSchema = v.looseObject({ steady: seconds, brisk: seconds, swift: seconds });

export const CourseSchema = v.looseObject({
  format: v.literal(COURSE_FORMAT, `is not "${COURSE_FORMAT}"`),
  version: v.literal(COURSE_VERSION, `is not ${COURSE_VERSION}`),
  name: text(60),
  /** What ends a run: touching the goal, or touching it with every pickup gathered. */
  kind: v.picklist(['point', 'gather'], 'is no known kind'),
  /** Whether the runner keeps to the start's lane (x and y only) or goes anywhere. */
  space: v.picklist(['side-on', 'free'], 'is neither "side-on" nor "free"'),
  runner: v.looseObject({
    kind: v.picklist(['hopper'], 'is no known runner'),
    settings: v.optional(HopperSettingsSchema),
  }),
  notes: v.optional(text(4000)),
  welcome: v.optional(text(200)),
  targets: v.optional(TargetsSchema),
  /** Height below which a run returns to its last checkpoint, metres; left out to follow the pieces. */
  tide: v.optional(coordinate),
  pieces: v.pipe(
    v.array(PieceSchema, 'is not a list'),
    v.maxLength(MAX_PIECES, `has more than ${MAX_PIECES} pieces`),
  ),
});

export type Piece = v.InferOutput<typeof PieceSchema>;
export type Course = v.InferOutput<typeof CourseSchema>;
export type CourseKind = Course['kind'];
export type CourseSpace = Course['space'];
export type HopperSettings = v.InferOutput<typeof HopperSettingsSchema>;
export type Targets = v.InferOutput<typeof TargetsSchema>;
