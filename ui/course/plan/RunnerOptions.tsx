import { View } from 'react-native';
import { RUNNERS, type Course, type RunnerKind, type RunnerSettings } from '@/core/course';
import { chooseRunner, setRunner, setRunnerSetting, type RunnerDial } from '@/core/edit';
import { DEFAULT_GRAVITY, hasLoose, RUNNER_SPECS, SECONDS_TO_TOP_SPEED } from '@/core/run';
import { Chip, Choices, NumberField, Text } from '../../parts';
import { useEditing } from '../../state/panelSnapshot';
import { SPACE } from '../../theme';
import { RUNNER_ROWS } from '../../run/runners';
import { reshape } from '../open/reshape';

const usual = (kind: RunnerKind, key: RunnerDial): number => {
  const defaults: RunnerSettings = RUNNER_SPECS[kind].defaults;
  return Number(defaults[key] ?? (defaults.topSpeed ?? 0) / SECONDS_TO_TOP_SPEED);
};

/** Which runner the course is for, and what it can do. */
export function RunnerOptions() {
  const { course, edit } = useEditing();
  const { kind, settings = {} } = course.runner;
  const { skills = [] } = RUNNER_ROWS[kind];
  const change = (to: (course: Course) => Course, merge?: string) => edit(to, merge);
  return (
    <View style={{ gap: SPACE.s }}>
      <Choices
        label="Runner"
        value={kind}
        options={RUNNERS.map((value) => ({ value, label: RUNNER_ROWS[value].label }))}
        onChange={(value) => reshape((now) => chooseRunner(now, value))}
      />
      <Text as="small" tint="slate">
        {RUNNER_ROWS[kind].hint}
      </Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.xs }}>
        {RUNNER_SPECS[kind].presets.map((preset) => (
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
        {RUNNER_ROWS[kind].dials
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
      {skills.length > 0 && (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.xs }}>
          {skills.map(({ key, label }) => (
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
