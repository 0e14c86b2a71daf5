export * from './courseFile';
export * from './runFile';
export * from './shareCode';
export * from './drawing';
export * from './escaped';
export * from './looksLikeSvg';
