import { Canvas as FiberCanvas } from '@react-three/fiber';
import { useEffect, useState } from 'react';
import { createPortal } from 'react-dom';
import { FIELD } from '@/core/sight';
import { useSettings } from '../device/settings';
import { useColours } from '../theme';
import { CameraRig, FAR, NEAR } from './CameraRig';
import { useDrawn, type Drawn } from './drawn';
import { measuredDrawing } from './measure';

/** What is in the scene hears of no pointer: where one points is worked out by who wants to know. */
const UNHEARD = () => ({ enabled: false, priority: 0 });

/** Part of a screen's own pixels that is drawn where drawing is slow; on fine screens one for each of the page's. */
const LIGHT_PART = 0.6;
const lightPixels = (): number => Math.min(1, LIGHT_PART * window.devicePixelRatio);

let kept: HTMLElement | undefined;

/** What is drawn into, wherever it stands now: a canvas takes it to itself. */
export function drawingElement(): HTMLElement {
  if (!kept) {
    kept = document.createElement('div');
    Object.assign(kept.style, { position: 'absolute', inset: '0' });
  }
  return kept;
}

/**
 * All that this page draws in three dimensions, kept from one screen to the next: what a drawing needs to begin is
 * compiled and loaded once.
 */
export function Drawing() {
  const drawn = useDrawn();
  return drawn && createPortal(<Kept {...drawn} />, drawingElement());
}

/** Light or full by choice or by how fast this device draws. */
function Kept({ contents, running }: Drawn) {
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
      {contents}
    </FiberCanvas>
  );
}
