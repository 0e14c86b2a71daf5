export { changesOf, type PieceChange } from './changes';
export { type HeldWay, type Judged, judgeWay, type WayVerdict } from './judge';
export { SEARCH_TICKS } from './search';
export { standsOf } from './stands';
