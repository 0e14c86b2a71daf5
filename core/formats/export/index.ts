// A course as files of other trades: a scene, a drawing to scale, a table.
export { toGlb } from './glb';
export { piecesCsv } from './piecesCsv';
export { planSvg } from './planSvg';
