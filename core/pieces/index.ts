export * from './family';
export * from './catalogue';
export * from './geometry';
export * from './tones';
