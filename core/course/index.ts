export {
  angle,
  between,
  boundedList,
  BOUNDS,
  colour,
  coordinate,
  count,
  extent,
  finite,
  identifier,
  index,
  on,
  oneOf,
  pause,
  planPoint,
  seconds,
  text,
  triple,
} from './values';
export {
  MOST_CARRIED,
  MOST_COPIES_ABOUT,
  MOST_ASIDE,
  MOST_LINKS,
  MOST_LOOSE,
  MOST_MOVERS,
  MOST_TIMED,
  USUAL_COPIES,
} from './limits';
export {
  MAX_TRIANGLES,
  type Model,
  modelId,
  MAX_MODEL_COLOURS,
  modelMesh,
  type ModelMesh,
  ModelSchema,
  ModelsSchema,
  packColours,
  packMesh,
} from './model';
export {
  type BuildGrid,
  type Course,
  COURSE_FORMAT,
  COURSE_KINDS,
  COURSE_VERSION,
  type CourseKind,
  CourseSchema,
  type CourseSpace,
  GridSchema,
  LineSchema,
  type Material,
  MATERIALS,
  MAX_PIECES,
  MOST_PATCHES,
  type OutlineCorner,
  OutlineSchema,
  PANEL_KINDS,
  type PanelKind,
  type Patch,
  PatchSchema,
  type Piece,
  type PieceOutline,
  PieceSchema,
  type Sketch,
  SketchSchema,
  type Sky,
  SkySchema,
  SYMMETRIES,
  type Symmetry,
  type SymmetryKind,
  SymmetrySchema,
  type Targets,
  TargetsSchema,
  type WallLine,
} from './schema';
export {
  AFTERS,
  AXES,
  type AxisName,
  EASES,
  type MotionKind,
  MotionSchema,
  type PathMotion,
  PathMotionSchema,
  type PieceMotion,
  type PosesMotion,
  PosesMotionSchema,
  type Thrower,
  ThrowerSchema,
  type Wake,
  WakeSchema,
} from './motion';
export {
  type Allowance,
  AllowanceSchema,
  contactFields,
  type DrawnShape,
  type HurtKind,
  HURTS,
  type PieceRole,
  ROLES,
  type ShapePart,
  ShapePartSchema,
  ShapeSchema,
} from './contact';
export { CUE_TRAITS, cueInterval, type CueKind, CUES } from './cues';
export { EFFECT_TRAITS, type EffectKind, EFFECTS, type SoundName, SOUNDS } from './effects';
export { type Cue, type Effect, type Link, LinkSchema } from './links';
export {
  RUNNER_TRAITS,
  type RunnerKind,
  RUNNERS,
  RunnerSchema,
  type RunnerSettings,
  RunnerSettingsSchema,
} from './runner';
export {
  type CameraKind,
  CAMERAS,
  CameraSchema,
  type CourseCamera,
  type PictureCamera,
  PictureSchema,
} from './camera';
export { beatSeconds, type Tempo, TempoSchema } from './tempo';
export { applyPatch, type CoursePatch, patchBytes, patchTo } from './patch';
export { hasPrivate, withoutPrivate } from './private';
export {
  CourseError,
  listForFields,
  MAX_COURSE_BYTES,
  type Problem,
  readCourse,
  toCourse,
} from './read';
export { canonicalJson, ReadyJson } from './canonical';
export { CourseName, MAX_NAME, nameProblem, SEEN } from './courseName';
export { KIND_WORDS } from './kindWords';
export { MOST_ORIGINS, type Origin, OriginSchema, OriginsSchema } from './origin';
export { copyOf } from './copyOf';
export { compareCourses, type CourseDifference, type PieceChange } from './compare';
export { csvOf, csvWords } from './csv';
export { emptyCourse } from './create';
export { withoutUnused } from './unused';
