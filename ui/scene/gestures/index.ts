export type { Pinch, Pointer, Tool } from './tool';
export { useGestures } from './useGestures';
