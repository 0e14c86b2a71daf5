import type { Phase } from '../../parts';

/** What is done over the scene: a finger lays, tunes or sketches there, or only looks. */
export type Work = 'lay' | 'tune' | 'sketch' | 'look';

/** What is done over the scene in a phase. */
export function workOf(phase: Phase, sketching: boolean): Work {
  if (phase === 'plan' && sketching) return 'sketch';
  return phase === 'lay' || phase === 'tune' ? phase : 'look';
}
