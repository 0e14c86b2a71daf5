import { setNote } from '@/core/edit';
import type { Tool } from '../../../scene';
import { endMerge, useCourse } from '../../../state/courseStore';
import { useLay } from '../../open/laying';
import { noteAt, placeAt, sketchNow } from './touched';

/** Notes, touched, dragged, and set down where there is none. */
export function noteTool(): Tool {
  let note = -1;
  return {
    begin: (x, y) => {
      note = noteAt(x, y);
      if (note >= 0) useLay.getState().chooseSketchNote(note);
      return note >= 0;
    },
    drag: (x, y) => {
      const place = placeAt(x, y);
      if (!place) return;
      const text = sketchNow()?.notes?.[note]?.text ?? '';
      useCourse.getState().edit((now) => setNote(now, note, place, text), 'note place');
    },
    drop: endMerge,
    tap: (x, y) => {
      const { chooseSketchNote } = useLay.getState();
      const there = noteAt(x, y);
      if (there >= 0) return chooseSketchNote(there);
      const place = placeAt(x, y);
      if (!place) return;
      const number = sketchNow()?.notes?.length ?? 0;
      useCourse.getState().edit((now) => setNote(now, number, place, `Note ${number + 1}`));
      chooseSketchNote(number);
    },
  };
}
