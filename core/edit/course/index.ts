// What is of the whole course: kits, rules, ties, legs, links.
export * from './kit';
export * from './rules';
export * from './purpose';
export * from './legs';
export * from './links';
export { bringBack } from './bringBack';
export { pairOf, pairWith, partnersOf } from './ties';
