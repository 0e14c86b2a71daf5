export * from './schema';
export * from './read';
export * from './hash';
export * from './create';
