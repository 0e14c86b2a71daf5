export * from './courseFile';
export * from './shareCode';
export * from './drawing';
export * from './escaped';
export * from './looksLikeSvg';
