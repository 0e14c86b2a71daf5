export { figuresOf, type Opening, OPENING_STEP, openingsOf, shiftedOpening } from './openings';
export { type Passage, passagesOf } from './passages';
