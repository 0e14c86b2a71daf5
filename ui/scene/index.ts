export * from './Canvas';
export * from './StillPieces';
export * from './MovingPieces';
export * from './Surroundings';
export * from './BuildMarks';
export * from './Runner';
export * from './useGestures';
export * from './view';
