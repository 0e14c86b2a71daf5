export {
  type ChoiceParam,
  type Family,
  FAMILY_GROUPS,
  type FamilyGroup,
  type Field,
  type NamedTone,
  type NumberParam,
  type OwnMotion,
  type Param,
  type Part,
  type PieceGeometry,
  type Role,
  type SeveralParam,
  type Shape,
  type Socket,
  type Spec,
  specOf,
  type Surface,
  takesValue,
  type TextParam,
  type Tone,
  type Unit,
} from './family';
export {
  checkpointNumber,
  checkpointResets,
  FAMILIES,
  familyOf,
  findFamily,
  legOf,
  pieceName,
} from './catalogue';
export { type Mark, markOf } from './mark';
export {
  formKey,
  hasOwnMotion,
  localGeometry,
  NO_TURN_DEGREES,
  pieceBounds,
  planOutline,
  planOutlines,
  toWorld,
  turnOf,
  worldMotion,
  worldParts,
} from './geometry';
export { flipped } from './flip';
export { outlineFault, platformSolids, rimPoints, rims } from './outline';
export { overlappingFields, type OverlappingField } from './overlapping';
export {
  FIELD_KINDS,
  type FieldArrow,
  fieldArrows,
  type FieldBeside,
  type FieldKind,
  type FieldOf,
  isForce,
  placedField,
} from './fields';
export { type WallMeasures, type WallPanel, wallPanels, wallSolids } from './wallLine';
export { arcEnd, BED } from './families/track';
export { AMBIENT_WORDS, type Ambient } from './families/regions';
export { facetColour, rgb, TONES } from './tones';
export { type Facet, facetsOf } from './facets';
export { touches } from './touch';
export { type Gatherable, gatherableOf } from './gatherable';
export { allowanceOf, contactRoles, contactShapes, formOf, KINDNESS } from './contact';
export { DENSITY, densityOf, formVolume, massOf, mayBeLoose } from './weight';
export { type Difference, diffPieces, profileOf } from './difference';
export { spansOf, topOver } from './tops';
export { forgetModels, registerModels } from './models';
