export { applyFix, type Finding, type Fix, type FixEdit } from './finding';
export { checkCourse, checkPieces, fixAll } from './checkCourse';
export { findingKey, mayPutAside, partedFindings, putAside, takeUp } from './aside';
export { addStart } from './start';
export { RULES, type RuleId } from './rules';
export { heavyRunRule } from './rules/heavyRun';
