import { useFrame } from '@react-three/fiber';
import { PerspectiveCamera } from 'three';
import { axes, type Eye, eyePlace, FIELD } from '@/core/sight';

/** Where an inset stands in the canvas, pixels from its lower left corner. */
export interface InsetFrame {
  readonly left: number;
  readonly bottom: number;
  readonly width: number;
  readonly height: number;
}

/** There is one inset at a time: its eye is made once. */
const camera = new PerspectiveCamera(FIELD, 1, 0.5, 1500);

/** The scene once more in a small frame over itself, as another eye sees it. */
export function Inset({ eye, frame }: { eye: Eye; frame: InsetFrame }) {
  useFrame(({ gl, scene, camera: own, size }) => {
    const { up } = axes(eye);
    camera.aspect = frame.width / frame.height;
    camera.position.set(...(eyePlace(eye) as [number, number, number]));
    camera.up.set(...(up as [number, number, number]));
    camera.lookAt(...(eye.target as [number, number, number]));
    camera.updateProjectionMatrix();
    // Once something draws by itself, it draws the whole as well.
    gl.setScissorTest(false);
    gl.setViewport(0, 0, size.width, size.height);
    gl.render(scene, own);
    const { left, bottom, width, height } = frame;
    gl.setScissorTest(true);
    gl.setScissor(left, bottom, width, height);
    gl.setViewport(left, bottom, width, height);
    gl.render(scene, camera);
    gl.setScissorTest(false);
    gl.setViewport(0, 0, size.width, size.height);
  }, 1);
  return null;
}
