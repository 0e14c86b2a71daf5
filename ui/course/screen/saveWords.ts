import { ago } from '../../parts';
import type { SaveState } from '../../state/saveQueue';

/** True where nothing stands in the way of saving. */
export const isInOrder = ({ kind }: SaveState): boolean =>
  kind === 'saved' || kind === 'saving' || kind === 'unsaved';

/**
 * How far a course is saved, in words.
 * @param save the state of its saving
 * @param wide true where there is room to say since when
 * @param fails true where the browser cannot keep it either
 */
export function saveWords(save: SaveState, wide: boolean, fails: boolean): string {
  switch (save.kind) {
    case 'saved':
      return save.at === 0 || !wide ? 'Saved' : `Saved ${ago(save.at)}`;
    case 'unsaved':
    case 'saving':
      return 'Saving';
    case 'offline':
      return `Server ${save.busy ? 'busy' : 'away'}, ${fails ? 'not kept' : 'kept here'}`;
    case 'refused':
      return 'Not saved';
    case 'conflict':
      return 'Saved elsewhere too';
  }
}
