// What the finder finds: words for commands, places of settings, and how they are ranked.
export { found, type Findable } from './rank';
export { goToSetting, SETTINGS } from './settings';
export { COMMAND_WORDS, DESTROYING } from './words';
