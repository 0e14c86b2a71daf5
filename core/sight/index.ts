// What an eye sees of a course: the course's camera, what is drawn, and what stands before what.
export { type CameraView, cameraNow, cameraOf, lookAt } from './camera';
export { axes, type Eye, eyePlace, FIELD, pictureOf, TAN_HALF_FIELD } from './eye';
export { DrawnScene } from './drawn';
export { facingOf } from './facing';
export { type Followed, followedEye, type FollowingEye } from './follow';
