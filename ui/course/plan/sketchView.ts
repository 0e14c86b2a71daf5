import type { Eye } from '@/core/sight';
import { glideTo, showAcross, useView, type ViewMode } from '../../scene';
import { useLay } from '../open/laying';

/** Metres across that are in view when a sketch is begun. */
const FIRST_VIEW = 200;

/** From where the course was looked at before a sketch made the view step back. */
let before: (Eye & { mode: ViewMode }) | null = null;

/** Looks at the course as it is drawn over; a first stroke has room before it. */
export function lookForDrawing(first: boolean): void {
  const { target, distance, yaw, pitch, mode, setMode } = useView.getState();
  if (first) before ??= { target, distance, yaw, pitch, mode };
  if (mode === 'free') setMode('above');
  if (first) showAcross(FIRST_VIEW);
}

/** The sketch is done with for now: the course is looked at again as before it. */
export function endSketch(): void {
  if (before) glideTo(before);
  before = null;
  const { setSketching, drawStroke } = useLay.getState();
  setSketching(null);
  drawStroke([]);
}
