// What is no course of ours, read as one.
export { SvgError } from './svgRings';
export { courseFromSvg, type SvgRead } from './svgCourse';
