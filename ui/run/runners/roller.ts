import type { RunnerRow } from './row';

export const roller: RunnerRow = {
  label: 'Roller',
  hint: 'A round stone, pushed along. The button holds it back.',
  dials: [
    { key: 'topSpeed', label: 'Pushed up to', unit: 'm/s', step: 0.5 },
    { key: 'acceleration', label: 'Push', unit: 'm/s²', step: 0.5 },
    { key: 'grip', label: 'Hold', unit: '', step: 0.05 },
    { key: 'bounce', label: 'Bounce', unit: '', step: 0.05 },
    { key: 'friction', label: 'Rolling friction', unit: '', step: 0.005 },
    { key: 'mass', label: 'Weight', unit: 'kg', step: 10 },
  ],
  controls: {
    kind: 'pad',
    button: { name: 'Hold back', mark: ['M14 26 H38', 'M26 8 A18 18 0 1 1 25.9 8'] },
  },
};
