// All that can be done to a course, room by room.
export * from './pieces';
export * from './snap';
export * from './lookup';
export * from './draw';
export * from './arrange';
export * from './course';
export * from './fit';
