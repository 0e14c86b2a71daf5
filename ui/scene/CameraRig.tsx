import { useEffect } from 'react';
import { useFrame, useThree } from '@react-three/fiber';
import type { PerspectiveCamera } from 'three';
import { axes, eyePlace } from '@/core/sight';
import { setHaze } from './sky';
import { useView } from './view';

/** How near and far is drawn when the eye is as near as usual, m. */
export const [NEAR, FAR] = [0.5, 1500];

/** By how much what lies about the course is larger for an eye so far off: it never comes into it. */
export const surroundingsScale = (distance: number): number => Math.max(1, distance / 140);

/** Puts the camera where the eye is, and draws anew whenever it moves. */
export function CameraRig() {
  const invalidate = useThree((s) => s.invalidate);
  const size = useThree((s) => s.size);
  useEffect(() => useView.getState().resize(size.width, size.height), [size]);
  useEffect(() => useView.subscribe(() => invalidate()), [invalidate]);
  useFrame(({ camera }) => {
    const eye = useView.getState();
    const by = surroundingsScale(eye.distance);
    const lens = camera as PerspectiveCamera;
    if (lens.far !== FAR * by) {
      lens.far = FAR * by;
      // From so far off what is near needs no telling apart.
      lens.near = NEAR * by;
      lens.updateProjectionMatrix();
    }
    setHaze(by);
    const { up } = axes(eye);
    camera.position.set(...(eyePlace(eye) as [number, number, number]));
    camera.up.set(...(up as [number, number, number]));
    camera.lookAt(...(eye.target as [number, number, number]));
  }, -1);
  return null;
}
