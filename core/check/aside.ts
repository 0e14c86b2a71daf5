import { MOST_ASIDE, type Course } from '../course';
import type { Finding } from './finding';

/** The name a finding is put aside under: its rule and the pieces it is of, in no order. */
export const findingKey = ({
  rule,
  piece,
  other,
}: Pick<Finding, 'rule' | 'piece' | 'other'>): string =>
  [rule, ...[piece, other].filter((id) => id !== undefined).sort()].join(' ');

/** True for a finding that its maker may put aside: an error keeps the course from being run, and stays. */
export const mayPutAside = ({ weight }: Finding): boolean => weight === 'notice';

/**
 * The course with a finding put aside. Drops findings whose pieces are gone, and the oldest where there are too many.
 */
export function putAside(course: Course, finding: Finding): Course {
  const ids = new Set(course.pieces.map(({ id }) => id));
  const kept = (course.aside ?? []).filter((key) =>
    key
      .split(' ')
      .slice(1)
      .every((id) => ids.has(id)),
  );
  const key = findingKey(finding);
  return { ...course, aside: [...kept.filter((one) => one !== key), key].slice(-MOST_ASIDE) };
}

/** The course with a finding shown again that was put aside. */
export function takeUp(course: Course, finding: Finding): Course {
  const { aside, ...rest } = course;
  const kept = aside?.filter((one) => one !== findingKey(finding)) ?? [];
  return kept.length > 0 ? { ...rest, aside: kept } : rest;
}

/** Findings, parted into those to show and those that the maker put aside. */
export function partedFindings(
  { aside }: Pick<Course, 'aside'>,
  findings: readonly Finding[],
): { readonly told: readonly Finding[]; readonly aside: readonly Finding[] } {
  if (!aside?.length) return { told: findings, aside: [] };
  const keys = new Set(aside);
  const isAside = (finding: Finding) => mayPutAside(finding) && keys.has(findingKey(finding));
  return {
    told: findings.filter((finding) => !isAside(finding)),
    aside: findings.filter(isAside),
  };
}
