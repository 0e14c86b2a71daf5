import type { TextStyle, ViewStyle } from 'react-native';

/** What is typed into has its ring about its frame, not within it. */
export const NO_OUTLINE = { outlineStyle: 'none' } as unknown as TextStyle;

/** The ring about a frame that holds what is typed into. */
export const focusRing = (focused: boolean, colour: string): ViewStyle =>
  focused ? { boxShadow: `0 0 0 2px ${colour}` } : {};
