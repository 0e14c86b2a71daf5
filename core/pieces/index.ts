export * from './family';
export * from './catalogue';
export * from './geometry';
export * from './outline';
export * from './wallLine';
export { arcEnd, BED } from './families/track';
export * from './tones';
export * from './facets';
export * from './touch';
