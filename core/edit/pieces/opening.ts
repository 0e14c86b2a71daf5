import type { Course } from '../../course';
import { gatherableOf } from '../../pieces';
import { setChoiceParam, setDial } from './properties';

/**
 * Sets by what goals and gates open. Those that then ask for what is gathered, and were never told how much, ask for
 * all that is laid.
 * @param course the course as it is; it stays so
 * @param choice ids of the goals and gates
 * @param opens one of the options of their setting "Opens"
 */
export function setOpening(course: Course, choice: ReadonlySet<string>, opens: string): Course {
  const set = setChoiceParam(course, choice, 'opens', opens);
  if (opens !== 'count' && opens !== 'worth') return set;
  const most = Math.floor(gatherableOf(set)[opens]);
  const untold = set.pieces.filter(
    ({ id, params }) => choice.has(id) && params?.amount === undefined,
  );
  if (most < 1 || !Number.isFinite(most)) return set;
  return setDial(set, new Set(untold.map(({ id }) => id)), { kind: 'param', key: 'amount' }, most);
}
