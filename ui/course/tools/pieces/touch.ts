import { endIndex, pickChoosable, withGroups } from '@/core/edit';
import type { Course } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import { pixelOf, rayAt, useView } from '../../../scene';
import { useCourse } from '../../../state/courseStore';
import { touchBeside } from '../../open/sceneMode';
import { takeTool, useLay } from '../../open/laying';

/** How near an open end a finger means it, pixels. */
const ON_END = 18;

/** The open end of track that a finger is on, if it is on one. */
function endAt(course: Course, x: number, y: number): Vec3 | null {
  const view = useView.getState();
  for (const { at } of endIndex(course).open('track')) {
    const pixel = pixelOf(view, at);
    if (pixel && Math.hypot(pixel[0] - x, pixel[1] - y) < ON_END) return at;
  }
  return null;
}

/**
 * What is chosen after a touch.
 *
 * @param choice - what was chosen
 * @param touched - the piece under the finger
 * @param ids - the touched piece with all of its group; none where nothing was touched
 * @param adds - it is added to what is chosen, or taken away from it
 */
export function choiceAfterTouch(
  choice: ReadonlySet<string>,
  touched: string | null,
  ids: ReadonlySet<string>,
  adds: boolean,
): readonly string[] {
  if (touched === null) return adds ? [...choice] : [];
  if (!adds) return [...ids];
  return choice.has(touched) ? [...choice].filter((id) => !ids.has(id)) : [...choice, ...ids];
}

/** A tap with nothing in hand: chooses, or at an open end brings up what fits there. */
export function touchPiece(x: number, y: number, adds: boolean): void {
  const { course, choice, choose } = useCourse.getState();
  const { adding, tool, touchEnd } = useLay.getState();
  const end = choice.size === 0 ? endAt(course, x, y) : null;
  touchEnd(end);
  if (end) {
    // What fits there is among the pieces.
    if (tool !== 'pieces') takeTool('pieces');
    return;
  }
  const id = pickChoosable(course, rayAt(useView.getState(), x, y))?.id ?? null;
  if (id === null && touchBeside()) return;
  const ids = id === null ? new Set<string>() : withGroups(course, [id]);
  choose(choiceAfterTouch(choice, id, ids, adds || adding));
}
