export { fileNameOf, openText, slugOf, toCourseFile } from './courseFile';
export { readRunFile, RunFileError, runFileName, toRunFile } from './runFile';
export { fromShareCode, isShareCode, ShareCodeError, toShareCode } from './shareCode';
export {
  drawCourse,
  type Drawing,
  type DrawnFace,
  drawParts,
  drawPiece,
  drawPieces,
  toSvg,
  USUAL_FIELD,
} from './drawing';
export { escaped } from './escaped';
export { looksLikeSvg } from './looksLikeSvg';
