import type { Course } from '../course';
import { registerModels } from '../pieces';
import { findingKey } from './aside';
import type { Finding } from './finding';
import { mendAll, withTriedFixes } from './mend';
import { RULES } from './rules';
import { familyRule } from './rules/family';
import { settingRule } from './rules/setting';

/** What keeps a document's pieces from being understood at all: families and settings that are none. */
export function checkPieces(course: Course): Finding[] {
  const unknown = familyRule.check(course);
  return unknown.length > 0 ? unknown : settingRule.check(course);
}

/**
 * All findings of a course, errors first. Every fix was tried and holds.
 * @param progress is told the part of the rules that have been gone through, 0 to 1
 */
export function checkCourse(course: Course, progress?: (part: number) => void): Finding[] {
  registerModels(course);
  return withTriedFixes(course, findAll(course, progress), findAll);
}

/** The course with every finding of a rule mended whose fix holds. */
export const fixAll = (
  course: Course,
  findings: readonly Finding[],
  rule: Finding['rule'],
): Course => mendAll(course, findings, rule, findAll);

/** All findings of all rules, errors first; fixes are not tried. */
function findAll(course: Course, progress?: (part: number) => void): Finding[] {
  const found: Finding[] = [];
  for (const [i, { id, check }] of RULES.entries()) {
    found.push(...check(course));
    // The other rules build the pieces, which needs their families.
    if (id === 'family' && found.length > 0) return found;
    progress?.((i + 1) / RULES.length);
  }
  return onceEach(found).sort(
    (a, b) => Number(a.weight === 'notice') - Number(b.weight === 'notice'),
  );
}

/** Rules that tell of two pieces what another rule tells better, where it does. */
const TOLD_BY: Partial<Record<Finding['rule'], readonly Finding['rule'][]>> = {
  seam: ['gap'],
  overlap: ['twins', 'inside'],
  flicker: ['twins'],
};

/** The findings without those that tell of two pieces what another finding tells better. */
function onceEach(found: readonly Finding[]): Finding[] {
  const keys = new Set(found.map(findingKey));
  return found.filter(
    (finding) => !TOLD_BY[finding.rule]?.some((rule) => keys.has(findingKey({ ...finding, rule }))),
  );
}
