import * as v from 'valibot';
import { CameraSchema, PictureSchema } from './camera';
import { SEEN } from './courseName';
import { AllowanceSchema, contactFields, ROLES, ShapeSchema } from './contact';
import { MOST_ASIDE, MOST_LINKS } from './limits';
import { LinkSchema } from './links';
import { ModelsSchema } from './model';
import { MotionSchema, ThrowerSchema, WakeSchema } from './motion';
import { OriginsSchema } from './origin';
import { RunnerSchema } from './runner';
import { TempoSchema } from './tempo';
import {
  angle,
  between,
  colour,
  coordinate,
  count,
  extent,
  finite,
  identifier,
  index,
  planPoint,
  seconds,
  text,
  triple,
} from './values';

export const COURSE_FORMAT = 'stone-hop-course';
export const COURSE_VERSION = 1;

export const MAX_PIECES = 20_000;

export const MATERIALS = [
  'stone',
  'slate',
  'timber',
  'rope',
  'metal',
  'ice',
  'moss',
  'glow',
] as const;
export type Material = (typeof MATERIALS)[number];

const corner = v.looseObject({
  at: planPoint,
  /** Radius by which the corner is rounded, m. */
  round: v.optional(v.pipe(finite, v.minValue(0), v.maxValue(50))),
  /** How far the edge to the next corner is pushed out, as a part of half its length. */
  bulge: v.optional(v.pipe(finite, v.minValue(-1, 'is below -1'), v.maxValue(1, 'is above 1'))),
});
const corners = v.pipe(
  v.array(corner, 'is not a list'),
  v.minLength(3, 'has fewer than three points'),
  v.maxLength(200, 'has more than 200 points'),
);
/** The outline of a platform in its own plane (x, z), and holes in it. */
export const OutlineSchema = v.looseObject({
  points: corners,
  holes: v.optional(v.pipe(v.array(corners), v.maxLength(20, 'has more than 20 holes'))),
});

export const PANEL_KINDS = ['door', 'window', 'half', 'out'] as const;
/** A wall's line: places of its posts, runs between two of them, and panels that are not full. */
export const LineSchema = v.looseObject({
  points: v.pipe(
    v.array(triple(coordinate), 'is not a list'),
    v.minLength(2, 'has fewer than two points'),
    v.maxLength(400, 'has more than 400 points'),
  ),
  runs: v.pipe(
    v.array(v.strictTuple([index, index]), 'is not a list'),
    v.maxLength(600, 'has more than 600 runs'),
  ),
  panels: v.optional(
    v.array(
      v.looseObject({
        run: index,
        panel: index,
        kind: v.picklist(PANEL_KINDS, 'is no known panel'),
      }),
    ),
  ),
});

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
    v.looseObject({
      material: v.optional(v.picklist(MATERIALS, 'is no known material')),
      colour: v.optional(colour),
    }),
  ),
  name: v.optional(text(60)),
  /** Mirrored across its own length: left and right exchanged. */
  flip: v.optional(v.literal(true, 'is not true')),
  outline: v.optional(OutlineSchema),
  line: v.optional(LineSchema),
  /** Whether it touches, where that differs from its family in this course. */
  collision: v.optional(v.picklist(['on', 'off'], 'is neither "on" nor "off"')),
  /** What it belongs to while building: a group, within another at most once ("g2/g1"). */
  group: v.optional(
    v.pipe(text(80), v.regex(/^[A-Za-z0-9_-]+(\/[A-Za-z0-9_-]+)?$/, 'is no group')),
  ),
  ...contactFields,
  /** How the whole of it moves; what moves within it is its family's. */
  motion: v.optional(
    v.pipe(
      v.array(MotionSchema, 'is not a list'),
      v.minLength(1, 'has no motion'),
      v.maxLength(3, 'has more than three motions'),
    ),
  ),
  wake: v.optional(WakeSchema),
  /** The piece it goes along with. */
  attach: v.optional(identifier),
  thrower: v.optional(ThrowerSchema),
  layer: v.optional(identifier),
  hidden: v.optional(v.literal(true, 'is not true')),
  locked: v.optional(v.literal(true, 'is not true')),
  /** Pieces with the same link are kept as images of each other; which image this one is. */
  twin: v.optional(v.looseObject({ link: identifier, image: index })),
});

export const TargetsSchema = v.looseObject({ steady: seconds, brisk: seconds, swift: seconds });

/**
 * What ends a run: touching the goal; touching it so many times with every checkpoint between; touching
 * it with every pickup gathered; staying within it; touching it, with the jumps counted as strokes.
 */
export const COURSE_KINDS = ['point', 'laps', 'gather', 'hold', 'strokes'] as const;

/** What the maker drew before building: a route, notes, a picture laid under it. */
export const SketchSchema = v.looseObject({
  points: v.pipe(
    v.array(triple(coordinate), 'is not a list'),
    v.maxLength(1000, 'has more than 1000 points'),
  ),
  closed: v.optional(v.boolean()),
  /** Lines that leave the route, or lead back to it. */
  branches: v.optional(
    v.pipe(
      v.array(
        v.looseObject({
          points: v.pipe(
            v.array(triple(coordinate)),
            v.maxLength(1000, 'has more than 1000 points'),
          ),
        }),
      ),
      v.maxLength(20, 'has more than 20 branches'),
    ),
  ),
  notes: v.optional(
    v.pipe(v.array(v.looseObject({ at: triple(coordinate), text: text(120) })), v.maxLength(100)),
  ),
  picture: v.optional(
    v.looseObject({
      /** A PNG or JPEG as a data address. */
      data: v.pipe(
        text(3_000_000),
        v.regex(/^data:image\/(png|jpeg);base64,/, 'is no PNG or JPEG'),
      ),
      at: triple(coordinate),
      width: between(0.5, 4000),
      /** Height as a part of the width. */
      aspect: between(0.01, 100),
      upright: v.optional(v.boolean()),
      /** Degrees it is turned by on the map. */
      turn: v.optional(finite),
      /** How strongly it is shown while building, 0 to 1. */
      shown: v.optional(v.pipe(finite, v.minValue(0), v.maxValue(1))),
    }),
  ),
  /** How strongly what is drawn is shown while building, 0 to 1. */
  shown: v.optional(v.pipe(finite, v.minValue(0), v.maxValue(1))),
});

export const SkySchema = v.looseObject({
  /** Hour of the day, 5 to 21. */
  hour: v.optional(v.pipe(finite, v.minValue(5), v.maxValue(21))),
  /** How far one sees before all is haze, m. */
  sight: v.optional(v.pipe(finite, v.minValue(30), v.maxValue(1000))),
  tide: v.optional(colour),
  sound: v.optional(v.picklist(['shore', 'wind', 'harbour'], 'is no known sound')),
});

/** Most patches of paint a ground may have. */
export const MOST_PATCHES = 2000;

/** A round of paint on the ground, in a material or a colour: to be seen, and nothing else. */
export const PatchSchema = v.looseObject({
  at: triple(coordinate),
  /** Half its width, m. */
  reach: between(0.1, 20),
  tone: v.union([v.picklist(MATERIALS), colour], 'is no material and no colour'),
});

/** What is laid takes hold of while building: a grid with its place and turn, and what else. */
export const GridSchema = v.looseObject({
  /** Metres along each axis; 0 for none. */
  steps: v.strictTuple([between(0, 100), between(0, 100), between(0, 100)]),
  /** Degrees a turn goes by; 0 for a degree at a time. */
  turnStep: between(0, 180),
  origin: v.optional(triple(coordinate)),
  /** Degrees about the upright. */
  turn: v.optional(angle),
  snapping: v.optional(v.boolean()),
  ends: v.optional(v.boolean()),
  corners: v.optional(v.boolean()),
  surface: v.optional(v.boolean()),
});

export const SYMMETRIES = ['mirror-x', 'mirror-z', 'turn-2', 'turn-3', 'turn-4'] as const;
export const SymmetrySchema = v.looseObject({
  kind: v.picklist(SYMMETRIES, 'is no known symmetry'),
  /** The axis, or the middle, over the map: x, z. */
  at: planPoint,
});

export const CourseSchema = v.looseObject({
  format: v.literal(COURSE_FORMAT, `is not "${COURSE_FORMAT}"`),
  version: v.literal(COURSE_VERSION, `is not ${COURSE_VERSION}`),
  name: v.pipe(text(60), v.regex(SEEN, 'has characters that are not seen')),
  /** What ends a run; see COURSE_KINDS. */
  kind: v.picklist(COURSE_KINDS, 'is no known kind'),
  /** Times round, of laps. */
  laps: v.optional(v.pipe(index, v.minValue(1, 'is below 1'), v.maxValue(99, 'is above 99'))),
  /** Seconds within the goal, of holding a region. */
  hold: v.optional(seconds),
  /** Whether the runner keeps to the start's lane (x and y only) or goes anywhere. */
  space: v.picklist(['side-on', 'free'], 'is neither "side-on" nor "free"'),
  runner: RunnerSchema,
  /** Downward acceleration, m/s². */
  gravity: v.optional(between(1, 60)),
  /** Which start of several a run begins at: each in its turn, one by chance, or the player's choice. */
  starts: v.optional(v.picklist(['turn', 'chance', 'choice'], 'is no known way to begin')),
  /** Whether checkpoints are taken in their order, or any of them in any. */
  order: v.optional(v.picklist(['free'], 'is not "free"')),
  /** Seconds counted down before a run, and those a run may take. */
  countdown: v.optional(count(1, 10)),
  limit: v.optional(seconds),
  /** Of a course in several legs, what each is called and how many strokes are par for it. */
  legs: v.optional(
    v.pipe(
      v.array(v.looseObject({ name: v.optional(text(40)), par: v.optional(count(1, 99)) })),
      v.minLength(1, 'has no leg'),
      v.maxLength(18, 'has more than 18 legs'),
    ),
  ),
  links: v.optional(
    v.pipe(v.array(LinkSchema), v.maxLength(MOST_LINKS, `has more than ${MOST_LINKS} links`)),
  ),
  tempo: v.optional(TempoSchema),
  camera: v.optional(CameraSchema),
  picture: v.optional(PictureSchema),
  /** Collision shapes drawn for every piece of a family. */
  shapes: v.optional(v.record(text(64), ShapeSchema)),
  allowances: v.optional(
    v.looseObject({
      families: v.optional(v.record(text(64), AllowanceSchema)),
      roles: v.optional(v.record(v.picklist(ROLES), AllowanceSchema)),
    }),
  ),
  notes: v.optional(text(4000)),
  /** Findings that are no problem here, by their names; see core/check/aside. */
  aside: v.optional(
    v.pipe(v.array(text(200)), v.maxLength(MOST_ASIDE, `has more than ${MOST_ASIDE} findings`)),
  ),
  welcome: v.optional(text(200)),
  /** What is said of it where it is found. */
  description: v.optional(text(1000)),
  /** Whether others may go on with a copy of it; they may where nothing is said. */
  mayCopy: v.optional(v.boolean()),
  /** The courses it was copied from, one from the other. */
  origins: v.optional(OriginsSchema),
  targets: v.optional(TargetsSchema),
  /** Height below which a run returns to its last checkpoint, metres; left out to follow the pieces. */
  tide: v.optional(coordinate),
  sketch: v.optional(SketchSchema),
  sky: v.optional(SkySchema),
  symmetry: v.optional(SymmetrySchema),
  grid: v.optional(GridSchema),
  /** Paint on the ground, what was put on last on top. */
  ground: v.optional(
    v.pipe(
      v.array(PatchSchema),
      v.maxLength(MOST_PATCHES, `has more than ${MOST_PATCHES} patches of paint`),
    ),
  ),
  layers: v.optional(
    v.pipe(
      v.array(
        v.looseObject({
          id: identifier,
          name: text(40),
          hidden: v.optional(v.boolean()),
          locked: v.optional(v.boolean()),
        }),
      ),
      v.maxLength(40, 'has more than 40 layers'),
    ),
  ),
  /** Families whose pieces touch, or do not, other than usual in this course. */
  collides: v.optional(v.record(text(64), v.boolean())),
  models: v.optional(ModelsSchema),
  pieces: v.pipe(
    v.array(PieceSchema, 'is not a list'),
    v.maxLength(MAX_PIECES, `has more than ${MAX_PIECES} pieces`),
  ),
});

export type Piece = v.InferOutput<typeof PieceSchema>;
export type Course = v.InferOutput<typeof CourseSchema>;
export type PieceOutline = v.InferOutput<typeof OutlineSchema>;
export type OutlineCorner = PieceOutline['points'][number];
export type WallLine = v.InferOutput<typeof LineSchema>;
export type PanelKind = (typeof PANEL_KINDS)[number];
export type Sketch = v.InferOutput<typeof SketchSchema>;
export type Sky = v.InferOutput<typeof SkySchema>;
export type Patch = v.InferOutput<typeof PatchSchema>;
export type BuildGrid = v.InferOutput<typeof GridSchema>;
export type Symmetry = v.InferOutput<typeof SymmetrySchema>;
export type SymmetryKind = Symmetry['kind'];
export type CourseKind = Course['kind'];
export type CourseSpace = Course['space'];
export type Targets = v.InferOutput<typeof TargetsSchema>;
