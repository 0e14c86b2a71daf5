import type { PublishedCourse } from '@/core/protocol';
import { runTime, strokesText } from '../parts';
import type { Placed } from '../run/stones/threeStones';

/** Somebody on a course's list as they stand by its lantern: with the strokes where those count, else the time. */
export const placedOf = ({
  place,
  player,
  time,
  strokes,
}: PublishedCourse['best'][number]): Placed => ({
  place,
  player,
  measure: strokes === undefined ? runTime(time) : strokesText(strokes),
});
