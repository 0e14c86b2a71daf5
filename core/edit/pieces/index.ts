// What a piece is and how it is changed: laid, placed, typed, painted, tuned, chosen.
export * from './ids';
export * from './lay';
export * from './like';
export * from './place';
export * from './properties';
export * from './expression';
export * from './choose';
export * from './chosen';
export * from './swap';
export * from './paint';
export * from './behaviour';
export * from './allow';
export * from './paths';
export * from './shapes';
