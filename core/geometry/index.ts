export * from './vec';
export * from './trig';
export * from './turn';
export * from './polyhedron';
export * from './solids';
export * from './hull2';
export * from './bounds';
