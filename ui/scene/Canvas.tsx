import { Canvas as FiberCanvas } from '@react-three/fiber';
import { useEffect, useState, type PropsWithChildren } from 'react';
import { FIELD } from '@/core/sight';
import { useSettings } from '../device/settings';
import { useColours } from '../theme';
import { CameraRig, FAR, NEAR } from './CameraRig';
import { measuredDrawing } from './measure';

/** What is in the scene hears of no pointer: where one points is worked out by who wants to know. */
const UNHEARD = () => ({ enabled: false, priority: 0 });

/** Part of a screen's own pixels that is drawn where drawing is slow; on fine screens one for each of the page's. */
const LIGHT_PART = 0.6;
const lightPixels = (): number => Math.min(1, LIGHT_PART * window.devicePixelRatio);

interface CanvasProps {
  /** Whether every frame is drawn, or only those in which something changed. */
  readonly running: boolean;
}

/** The drawn scene; light or full by choice or by how fast this device draws. */
export function Canvas({ running, children }: PropsWithChildren<CanvasProps>) {
  const colours = useColours();
  const chosen = useSettings((s) => s.drawing);
  const [measured, setMeasured] = useState<'light' | 'full'>('light');
  useEffect(() => {
    let gone = false;
    if (chosen === 'measured') void measuredDrawing().then((found) => !gone && setMeasured(found));
    return () => {
      gone = true;
    };
  }, [chosen]);
  const drawing = chosen === 'measured' ? measured : chosen;
  return (
    <FiberCanvas
      // Smooth edges are asked for when the drawing begins; another setting begins it anew.
      key={drawing}
      events={UNHEARD}
      flat
      linear
      frameloop={running ? 'always' : 'demand'}
      dpr={drawing === 'full' ? Math.min(2, window.devicePixelRatio) : lightPixels()}
      gl={{ antialias: drawing === 'full', powerPreference: 'high-performance' }}
      camera={{ fov: FIELD, near: NEAR, far: FAR }}
      style={{ position: 'absolute', inset: 0, touchAction: 'none', background: colours.sky }}
    >
      <CameraRig />
      {children}
    </FiberCanvas>
  );
}
