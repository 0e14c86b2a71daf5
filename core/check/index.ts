export { applyFix, type Finding, type Fix, type FixEdit } from './finding';
export { checkCourse, checkPieces } from './checkCourse';
export { addStart } from './start';
export { RULES, type RuleId } from './rules';
export { heavyRunRule } from './rules/heavyRun';
