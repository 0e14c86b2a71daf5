import type { Course } from '../course';
import { registerModels } from '../pieces';
import type { Finding } from './finding';
import { RULES } from './rules';
import { familyRule } from './rules/family';
import { settingRule } from './rules/setting';

/** What keeps a document's pieces from being understood at all: families and settings that are none. */
export function checkPieces(course: Course): Finding[] {
  const unknown = familyRule.check(course);
  return unknown.length > 0 ? unknown : settingRule.check(course);
}

/**
 * Everything found wrong with a course, errors first.
 * @param progress is told the part of the rules that have been gone through, 0 to 1
 */
export function checkCourse(course: Course, progress?: (part: number) => void): Finding[] {
  registerModels(course);
  const found: Finding[] = [];
  for (const [i, { id, check }] of RULES.entries()) {
    found.push(...check(course));
    // The other rules build the pieces, which needs their families.
    if (id === 'family' && found.length > 0) return found;
    progress?.((i + 1) / RULES.length);
  }
  return found.sort((a, b) => Number(a.weight === 'notice') - Number(b.weight === 'notice'));
}
