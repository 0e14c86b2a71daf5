// Links: cues that are given, and the effects that follow.
export { actOnLinks, dueAt, leave, watchPiece } from './engine';
