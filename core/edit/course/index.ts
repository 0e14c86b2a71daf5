// What is of the whole course: rules, ties, legs, links.
export { type CourseRule, type RunnerDial, setRule, setRunner, setRunnerSetting } from './rules';
export { chooseRunner, groupOrder, setKind } from './purpose';
export { checkpointLeg, MOST_LEGS, nextLeg, withLegs } from './legs';
export {
  addLink,
  changeEffect,
  changeLink,
  linksOf,
  moveEffect,
  newCue,
  newEffect,
  removeLink,
  withoutTies,
} from './links';
export { cueMisfit, effectMisfit } from './linkable';
export { pairMisfit, pairOf, pairWith, partnersOf } from './ties';
