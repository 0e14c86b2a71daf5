import type { RunnerRow } from './row';

export const flick: RunnerRow = {
  label: 'Flick stone',
  hint: 'A puck: drawn back and let go, once it lies still.',
  dials: [
    { key: 'mass', label: 'Weight', unit: 'kg', step: 5 },
    { key: 'strength', label: 'Hardest stroke', unit: 'm/s', step: 0.5 },
    { key: 'friction', label: 'Friction', unit: '', step: 0.01 },
    { key: 'bounce', label: 'Bounce', unit: '', step: 0.05 },
  ],
  controls: { kind: 'strokes' },
};
