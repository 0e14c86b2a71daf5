import { RUNNERS, RunnerSettingsSchema, type RunnerSettings } from '@/core/course';
import { RUNNER_SPECS, runnerOf, SECONDS_TO_TOP_SPEED } from '@/core/run';
import { effortOf } from '../finish/effort';
import { RUNNER_ROWS } from '.';

const known = Object.keys(RunnerSettingsSchema.entries);

test.each(RUNNERS)('every figure of a %s that is shown changes it', (kind) => {
  const { dials, skills = [] } = RUNNER_ROWS[kind];
  const defaults: RunnerSettings = RUNNER_SPECS[kind].defaults;
  const usual = runnerOf({ kind });
  for (const { key, label, step } of dials) {
    expect(known).toContain(key);
    expect(label).toMatch(/^[A-Z]/);
    const was = Number(defaults[key] ?? (defaults.topSpeed ?? 0) / SECONDS_TO_TOP_SPEED);
    const other = runnerOf({ kind, settings: { [key]: was + step } });
    expect([key, other]).not.toEqual([key, usual]);
  }
  for (const { key } of skills) {
    expect(runnerOf({ kind, settings: { [key]: true } })).not.toEqual(usual);
  }
});

test.each(RUNNERS)('all that is usual of a %s can be set', (kind) => {
  const shown = RUNNER_ROWS[kind].dials.map(({ key }) => key as string);
  for (const key of Object.keys(RUNNER_SPECS[kind].defaults)) expect(shown).toContain(key);
});

test('runners are told apart by name, and by how they are worked', () => {
  const labels = RUNNERS.map((kind) => RUNNER_ROWS[kind].label);
  expect(new Set(labels).size).toBe(RUNNERS.length);
  for (const kind of RUNNERS) {
    const { controls, hint } = RUNNER_ROWS[kind];
    expect(hint).toMatch(/\.$/);
    expect(RUNNER_SPECS[kind].camera.pace).toBeGreaterThanOrEqual(0);
    // What is struck has no pad, and is counted by its strokes.
    expect(effortOf({ kind: 'point', runner: { kind } })).toBe(
      controls.kind === 'strokes' ? 'stroke' : 'jump',
    );
  }
  expect(effortOf({ kind: 'strokes', runner: { kind: 'hopper' } })).toBe('stroke');
});
