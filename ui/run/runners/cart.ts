import type { RunnerRow } from './row';

export const cart: RunnerRow = {
  label: 'Cart',
  hint: 'A barrow: steered, driven and braked. The button lets it drift.',
  dials: [
    { key: 'topSpeed', label: 'Top speed', unit: 'm/s', step: 0.5 },
    { key: 'acceleration', label: 'Throttle', unit: 'm/s²', step: 0.5 },
    { key: 'brake', label: 'Brake', unit: 'm/s²', step: 0.5 },
    { key: 'grip', label: 'Sideways hold', unit: '', step: 0.05 },
    { key: 'turnRadius', label: 'Circle at full lock', unit: 'm', step: 0.25 },
    { key: 'air', label: 'Steering in the air', unit: '', step: 0.05 },
    { key: 'mass', label: 'Weight', unit: 'kg', step: 10 },
  ],
  controls: {
    kind: 'pedals',
    drive: { name: 'Drive', mark: ['M14 34 L26 20 L38 34', 'M14 22 L26 8 L38 22'] },
    brake: { name: 'Brake', mark: ['M14 18 L26 32 L38 18'] },
  },
};
