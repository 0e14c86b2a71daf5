export { type FairSheet, fairSheet, type HazardSheet } from './fairSheet';
export type { UnfairHit } from './hits';
export { type Landing, landingsOf } from './landings';
export type { NearestPass } from './passes';
export { LOOK_BACK, PICTURES, type PictureName, type TimeInSight } from './seen';
