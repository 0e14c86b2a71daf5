import type { RunnerRow } from './row';

export const hopper: RunnerRow = {
  label: 'Hopper',
  hint: 'A pebble on two legs: runs, jumps and steps up.',
  dials: [
    { key: 'topSpeed', label: 'Top speed', unit: 'm/s', step: 0.5 },
    { key: 'acceleration', label: 'Change of speed', unit: 'm/s²', step: 1 },
    { key: 'jumpHeight', label: 'Jump height', unit: 'm', step: 0.1 },
    { key: 'mass', label: 'Weight', unit: 'kg', step: 10 },
  ],
  skills: [
    { key: 'autorun', label: 'Runs by itself' },
    { key: 'doubleJump', label: 'Jumps again in the air' },
    { key: 'wallHold', label: 'Holds on to walls' },
    { key: 'wallJump', label: 'Jumps off walls' },
  ],
  controls: {
    kind: 'pad',
    button: {
      name: 'Jump',
      mark: ['M8 42 C 12 14, 40 14, 44 42', 'M26 30 V10 M17 18 L26 9 L35 18'],
    },
  },
};
