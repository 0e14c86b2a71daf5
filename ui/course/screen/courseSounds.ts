import { sound } from '../../music/sounds';
import { useCourse } from '../../state/courseStore';
import { pulseAt } from '../open/pulse';

/** Has edits of the open course be heard: laying, taking away, undoing. Returns how that is ended. */
export function soundEdits(): () => void {
  return useCourse.subscribe((now, before) => {
    if (now.id !== before.id || now.course === before.course) return;
    const undone = now.future.length > before.future.length;
    const redone = now.future.length < before.future.length && before.future.length > 0;
    if (undone || redone) return sound('undo');
    const more = now.course.pieces.length - before.course.pieces.length;
    if (more < 0) sound('remove');
    if (more > 0) {
      const { joined } = pulseAt(now.course.pieces[now.course.pieces.length - 1]);
      sound(joined ? 'join' : 'lay');
    }
  });
}
