export * from './ids';
export * from './lay';
export * from './place';
export * from './tune';
export * from './snap';
export * from './pick';
