import { copiesAbout } from '../../edit';
import {
  type Course,
  type Link,
  MOST_COPIES_ABOUT,
  MOST_LOOSE,
  MOST_MOVERS,
  MOST_TIMED,
  type Piece,
  beatSeconds,
  cueInterval,
} from '../../course';
import { hasOwnMotion } from '../../pieces';
import type { Check, CheckRule, Finding } from '../finding';

const heavy = (message: string, piece?: Piece): Finding<'heavy-run'> => ({
  rule: 'heavy-run',
  weight: 'error',
  message,
  ...(piece ? { piece: piece.id, at: piece.at } : {}),
});

/** What costs every tick of a run, and is more than a run can bear. */
const heavyRun: Check<'heavy-run'> = (course) => {
  const { pieces } = course;
  const found: Finding<'heavy-run'>[] = [];
  const loose = pieces.filter((piece) => piece.loose);
  if (loose.length > MOST_LOOSE) {
    found.push(
      heavy(
        `There are ${loose.length} loose pieces; a course has at most ${MOST_LOOSE}.`,
        loose[0],
      ),
    );
  }
  const copies = copiesAbout(course);
  if (copies > MOST_COPIES_ABOUT) {
    found.push(
      heavy(
        `Throwers may have ${copies} copies about at once; all together at most ${MOST_COPIES_ABOUT}.`,
        pieces.find(({ thrower }) => thrower),
      ),
    );
  }
  const movers = pieces.filter((piece) => piece.motion !== undefined || hasOwnMotion(piece));
  if (movers.length > MOST_MOVERS) {
    found.push(
      heavy(`${movers.length} pieces move; a course has at most ${MOST_MOVERS}.`, movers[0]),
    );
  }
  const timed = (course.links ?? []).reduce((sum, link) => sum + actsPerSecond(course, link), 0);
  if (timed > MOST_TIMED) {
    found.push(
      heavy(
        `Timers and beats have links act ${Math.round(timed)} times a second; at most ${MOST_TIMED}.`,
      ),
    );
  }
  return found;
};

/** How often a link acts by itself within a second. */
function actsPerSecond({ tempo }: Course, { cue, rest = 0, once }: Link): number {
  if (once) return 0;
  return 1 / Math.max(cueInterval(cue, beatSeconds(tempo, 1)), rest);
}

export const heavyRunRule: CheckRule<'heavy-run'> = { id: 'heavy-run', check: heavyRun };
