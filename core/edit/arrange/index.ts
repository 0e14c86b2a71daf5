// Pieces against each other: stretched, lined up, copied, mirrored over an axis, kept in the kit.
export {
  BLOCK_SIDES,
  type BlockSide,
  cornerOnto,
  dropPieces,
  flipPieces,
  lieAlong,
  ownCorner,
  pullEdge,
  resetTurn,
  sinkPieces,
  spinPieces,
  stretchPieces,
  toOrigin,
  topEdge,
} from './adjust';
export { type Alignment, alignPieces, spreadPieces } from './align';
export {
  type Copied,
  duplicatePieces,
  mirrorCopies,
  MOST_COPIES,
  ringCopies,
  rowCount,
  stepCopies,
} from './copies';
export { exemptPieces, imageCount, keepSymmetry, setSymmetry, unlinkPieces } from './symmetry';
export {
  type Kit,
  KIT_FORMAT,
  KIT_VERSION,
  KitError,
  KitSchema,
  layKit,
  MOST_KIT_PIECES,
  readKit,
  toKit,
} from './kit';
