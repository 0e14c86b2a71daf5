// The screens of a course and what draws its scene: more than half of all that pages are made of. They are loaded
// when the first of them is opened, and soon after any other page stands.
export { Drawing } from './scene';
export { CourseScreen } from './course/screen/CourseScreen';
export { CourseRunScreen } from './course/run/RunScreen';
export { TimesScreen } from './course/times/TimesScreen';
export { WatchScreen } from './course/watch/WatchScreen';
export { PlayRunScreen } from './play/PlayRunScreen';
export { HelpScreen } from './help/HelpScreen';
