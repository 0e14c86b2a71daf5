import { useEffect } from 'react';
import { useFrame, useThree } from '@react-three/fiber';
import { axes, eyePlace, useView } from './view';

/** Puts the camera where the eye is, and draws anew whenever it moves. */
export function CameraRig() {
  const invalidate = useThree((s) => s.invalidate);
  const size = useThree((s) => s.size);
  useEffect(() => useView.getState().resize(size.width, size.height), [size]);
  useEffect(() => useView.subscribe(() => invalidate()), [invalidate]);
  useFrame(({ camera }) => {
    const eye = useView.getState();
    const { up } = axes(eye);
    camera.position.set(...(eyePlace(eye) as [number, number, number]));
    camera.up.set(...(up as [number, number, number]));
    camera.lookAt(...(eye.target as [number, number, number]));
  }, -1);
  return null;
}
