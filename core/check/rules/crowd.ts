import type { Course } from '../../course';
import { CELL, CROWD, sparseOf } from '../crowd';
import type { CheckRule, Finding } from '../finding';

/** Crowds, told of once each: what is in them lies in one place. */
const crowds = (course: Course): Finding<'crowd'>[] =>
  sparseOf(course)
    .crowds.slice(0, 3)
    .map(({ at, count, piece }) => ({
      rule: 'crowd',
      weight: 'notice',
      message: `${count} pieces lie within ${CELL} m here; how they join is looked at up to ${CROWD}.`,
      piece,
      at,
    }));

export const crowdRule: CheckRule<'crowd'> = { id: 'crowd', check: crowds };
