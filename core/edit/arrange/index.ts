// Pieces against each other: stretched, lined up, mirrored, copied, grouped.
export * from './adjust';
export * from './align';
export * from './images';
export * from './copies';
export * from './symmetry';
export * from './group';
