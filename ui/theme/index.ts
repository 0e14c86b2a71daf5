export { type Colours, DAY, NIGHT } from './colours';
export { FONTS, RUN_FONTS, TYPE, type TypeStyle } from './type';
export { RADIUS, SPACE, TARGET, WIDE } from './space';
export { useColours } from './useColours';
export { elementsTheme } from './elements';
