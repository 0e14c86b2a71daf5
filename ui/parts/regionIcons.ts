import type { IconName } from './icons';

/** What each region does, as a sign on its picture: a region itself is an empty box. */
export const REGION_ICONS: Readonly<Record<string, IconName>> = {
  touch: 'bell',
  wind: 'wind',
  boost: 'chevrons-right',
  drag: 'anchor',
  slick: 'cloud-snow',
  tramp: 'chevrons-up',
  weight: 'arrow-down',
  grow: 'maximize-2',
  tally: 'hash',
  sting: 'alert-triangle',
  pool: 'droplet',
  sound: 'volume-2',
  hush: 'volume-x',
  lookout: 'video',
};
