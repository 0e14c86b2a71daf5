import { View } from 'react-native';
import { RUNNERS, type Course, type RunnerKind, type RunnerSettings } from '@/core/course';
import { chooseRunner, setRunner, setRunnerSetting, type RunnerDial } from '@/core/assemble';
import {
  DEFAULT_GRAVITY,
  hasLoose,
  RUNNER_DEFAULTS,
  RUNNER_PRESETS,
  SECONDS_TO_TOP_SPEED,
} from '@/core/run';
import { Chip, Choices, NumberField, RUNNER_WORDS, Text } from '../../parts';
import { useEditing } from '../../state/panelSnapshot';
import { SPACE } from '../../theme';
import { reshape } from '../reshape';

interface Dial {
  readonly key: RunnerDial;
  readonly label: string;
  readonly unit: string;
  readonly step: number;
}
const DIALS: Record<RunnerKind, readonly Dial[]> = {
  hopper: [
    { key: 'topSpeed', label: 'Top speed', unit: 'm/s', step: 0.5 },
    { key: 'acceleration', label: 'Change of speed', unit: 'm/s²', step: 1 },
    { key: 'jumpHeight', label: 'Jump height', unit: 'm', step: 0.1 },
    { key: 'mass', label: 'Weight', unit: 'kg', step: 10 },
  ],
  roller: [
    { key: 'topSpeed', label: 'Pushed up to', unit: 'm/s', step: 0.5 },
    { key: 'acceleration', label: 'Push', unit: 'm/s²', step: 0.5 },
    { key: 'grip', label: 'Hold', unit: '', step: 0.05 },
    { key: 'bounce', label: 'Bounce', unit: '', step: 0.05 },
    { key: 'friction', label: 'Rolling friction', unit: '', step: 0.005 },
    { key: 'mass', label: 'Weight', unit: 'kg', step: 10 },
  ],
  cart: [
    { key: 'topSpeed', label: 'Top speed', unit: 'm/s', step: 0.5 },
    { key: 'acceleration', label: 'Throttle', unit: 'm/s²', step: 0.5 },
    { key: 'brake', label: 'Brake', unit: 'm/s²', step: 0.5 },
    { key: 'grip', label: 'Sideways hold', unit: '', step: 0.05 },
    { key: 'turnRadius', label: 'Circle at full lock', unit: 'm', step: 0.25 },
    { key: 'air', label: 'Steering in the air', unit: '', step: 0.05 },
    { key: 'mass', label: 'Weight', unit: 'kg', step: 10 },
  ],
  flick: [
    { key: 'mass', label: 'Weight', unit: 'kg', step: 5 },
    { key: 'strength', label: 'Hardest stroke', unit: 'm/s', step: 0.5 },
    { key: 'friction', label: 'Friction', unit: '', step: 0.01 },
    { key: 'bounce', label: 'Bounce', unit: '', step: 0.05 },
  ],
};
const SKILLS = [
  { key: 'autorun', label: 'Runs by itself' },
  { key: 'doubleJump', label: 'Jumps again in the air' },
  { key: 'wallHold', label: 'Holds on to walls' },
  { key: 'wallJump', label: 'Jumps off walls' },
] as const;

const usual = (kind: RunnerKind, key: RunnerDial): number => {
  const defaults: RunnerSettings = RUNNER_DEFAULTS[kind];
  return Number(defaults[key] ?? RUNNER_DEFAULTS.hopper.topSpeed / SECONDS_TO_TOP_SPEED);
};

/** Which runner the course is for, and what it can do. */
export function RunnerOptions() {
  const { course, edit } = useEditing();
  const { kind, settings = {} } = course.runner;
  const change = (to: (course: Course) => Course, merge?: string) => edit(to, merge);
  return (
    <View style={{ gap: SPACE.s }}>
      <Choices
        label="Runner"
        value={kind}
        options={RUNNERS.map((value) => ({ value, label: RUNNER_WORDS[value].label }))}
        onChange={(value) => reshape((now) => chooseRunner(now, value))}
      />
      <Text as="small" tint="slate">
        {RUNNER_WORDS[kind].hint}
      </Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.xs }}>
        {RUNNER_PRESETS[kind].map((preset) => (
          <Chip
            key={preset.label}
            role="radio"
            label={preset.label}
            on={JSON.stringify(preset.settings) === JSON.stringify(settings)}
            onPress={() => change((now) => setRunner(now, { kind, settings: preset.settings }))}
          />
        ))}
      </View>
      <View>
        {DIALS[kind]
          .filter(({ key }) => key !== 'mass' || hasLoose(course))
          .map(({ key, label, unit, step }) => (
            <NumberField
              key={key}
              label={label}
              unit={unit}
              step={step}
              value={settings[key] ?? usual(kind, key)}
              testID={`runner-${key}`}
              onChange={(value) =>
                change(
                  (now) => setRunnerSetting(now, key, value, usual(kind, key)),
                  `runner ${key}`,
                )
              }
            />
          ))}
        <NumberField
          label="Gravity"
          unit="m/s²"
          step={1}
          value={course.gravity ?? DEFAULT_GRAVITY}
          testID="runner-gravity"
          onChange={(value) =>
            change((now) => setRunnerSetting(now, 'gravity', value, DEFAULT_GRAVITY), 'gravity')
          }
        />
      </View>
      {kind === 'hopper' && (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.xs }}>
          {SKILLS.map(({ key, label }) => (
            <Chip
              key={key}
              role="checkbox"
              label={label}
              on={settings[key] === true}
              onPress={() =>
                change((now) => {
                  const { [key]: was, ...rest } = now.runner.settings ?? {};
                  return setRunner(now, { kind, settings: was ? rest : { ...rest, [key]: true } });
                })
              }
            />
          ))}
        </View>
      )}
    </View>
  );
}
