export * from './courseFile';
export * from './shareCode';
