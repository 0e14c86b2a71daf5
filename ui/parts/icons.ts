import Feather from '@expo/vector-icons/Feather';

/** Names of the icons in use; one set, one line weight. */
export type IconName = keyof typeof Feather.glyphMap;
export { Feather };
