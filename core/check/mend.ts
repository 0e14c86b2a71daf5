import type { Course } from '../course';
import { piecesOver } from '../edit';
import { pieceBounds } from '../pieces';
import { findingKey } from './aside';
import { applyFix, MOST_TOLD, type Finding } from './finding';

/** Distance from a piece within which the rules hold others against it, m. */
const NEAR = 1.5;
/** Most pieces that are checked while fixes are tried: more would take seconds. Later findings get no fix. */
const MOST_CHECKED = 3000;

/** Finds all that is wrong with a course. */
type Checking = (course: Course) => readonly Finding[];

/**
 * The course with a finding's fix done. Null where the fix was tried and does not hold: the finding is still there, or
 * another has come in its place around what was changed.
 */
export function mend(course: Course, finding: Finding, check: Checking): Course | null {
  const after = fixedOrNull(course, finding);
  // A fix that changes no piece has nothing around it to go wrong.
  if (!after || !finding.piece) return after;
  const ids = idsAround([course, after], finding.piece);
  const [before, then] = [course, after].map((one) => check(partOf(one, ids)));
  return holds(finding, before, then) ? after : null;
}

/** The findings; a fix that was tried and does not hold is left out. */
export function withTriedFixes(
  course: Course,
  findings: readonly Finding[],
  check: Checking,
): Finding[] {
  let checked = 0;
  const counting: Checking = (one) => {
    checked += one.pieces.length;
    return check(one);
  };
  return findings.map((finding) => {
    if (!finding.fix || (checked < MOST_CHECKED && mend(course, finding, counting))) return finding;
    const { fix: _, ...bare } = finding;
    return bare;
  });
}

/**
 * A course with every finding of a rule mended whose fix holds, one after the other.
 * @param course it before
 * @param findings what was found in it, of any rule
 * @param rule whose findings are mended
 * @param check finds what is wrong around what was changed
 */
export function mendAll(
  course: Course,
  findings: readonly Finding[],
  rule: Finding['rule'],
  check: Checking,
): Course {
  return findings
    .filter((finding) => finding.rule === rule)
    .reduce((now, finding) => {
      // What was mended before may have changed what this one needs.
      const current = findAgain(now, finding, check);
      return (current && mend(now, current, check)) ?? now;
    }, course);
}

/** A finding as it is now, or undefined if it is gone. */
function findAgain(course: Course, finding: Finding, check: Checking): Finding | undefined {
  if (!finding.piece) return finding;
  const found = check(partOf(course, idsAround([course], finding.piece)));
  return found.find((one) => findingKey(one) === findingKey(finding));
}

function fixedOrNull(course: Course, { fix }: Finding): Course | null {
  try {
    return fix ? applyFix(course, fix) : null;
  } catch {
    return null;
  }
}

/** True if a finding is gone and no other has come. */
function holds(mended: Finding, before: readonly Finding[], after: readonly Finding[]): boolean {
  const known = new Set(before.map(findingKey));
  const isCut = (rule: Finding['rule']) =>
    before.filter((one) => one.rule === rule).length >= MOST_TOLD;
  return after.every((finding) => {
    const key = findingKey(finding);
    if (key === findingKey(mended)) return false;
    // Of a rule that tells no more than so many, another comes into sight when one goes.
    return known.has(key) || isCut(finding.rule);
  });
}

/** The pieces about a piece, where it stands in any of the courses. */
function idsAround(courses: readonly Course[], id: string): ReadonlySet<string> {
  const found = new Set([id]);
  for (const { pieces } of courses) {
    const piece = pieces.find((one) => one.id === id);
    if (!piece) continue;
    const { low, high } = pieceBounds(piece);
    const [x0, z0, x1, z1] = [low[0] - NEAR, low[2] - NEAR, high[0] + NEAR, high[2] + NEAR];
    for (const near of piecesOver(pieces, x0, z0, x1, z1)) found.add(near.id);
  }
  return found;
}

const partOf = (course: Course, ids: ReadonlySet<string>): Course => ({
  ...course,
  pieces: course.pieces.filter(({ id }) => ids.has(id)),
});
