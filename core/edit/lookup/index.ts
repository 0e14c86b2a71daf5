// Finding pieces fast among very many.
export type { Ray } from './ray';
export { piecesOver } from './near';
export { groundBelow, pickPiece, prepareToPick, rayHitsBounds } from './pick';
