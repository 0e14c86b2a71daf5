import { useState } from 'react';
import { View } from 'react-native';
import type { Course, CourseKind, CourseSpace, HopperSettings } from '@/core/course';
import { HOPPER_DEFAULTS, tideLine } from '@/core/run';
import { plainWay, wayLength } from '@/core/route';
import { Choices, Field, metres, NumberField, Words, Button } from '../parts';
import { useCourse } from '../state/courseStore';
import { SPACE } from '../theme';
import { VersionsSheet } from './VersionsSheet';

const KINDS: readonly { value: CourseKind; label: string }[] = [
  { value: 'point', label: 'Point to point' },
  { value: 'gather', label: 'Gather every shell' },
];
const SPACES: readonly { value: CourseSpace; label: string }[] = [
  { value: 'side-on', label: 'Side-on' },
  { value: 'free', label: 'Free-roaming' },
];
const DIALS = [
  { key: 'topSpeed', label: 'Top speed', unit: 'm/s', step: 0.5, min: 1, max: 30 },
  { key: 'jumpHeight', label: 'Jump height', unit: 'm', step: 0.1, min: 0.2, max: 10 },
  { key: 'gravity', label: 'Gravity', unit: 'm/s²', step: 1, min: 3, max: 60 },
] as const;
const TARGETS = [
  { key: 'steady', label: 'Steady' },
  { key: 'brisk', label: 'Brisk' },
  { key: 'swift', label: 'Swift' },
] as const;

/** What the course is before it is built: name, kind, runner, notes, targets. */
export function PlanPanel() {
  const { course, edit } = useCourse();
  const [versions, setVersions] = useState(false);
  const set = (change: Partial<Course>, merge?: string) =>
    edit((before) => ({ ...before, ...change }), merge);
  const setRunner = (key: keyof HopperSettings, value: number) => {
    const settings = { ...course.runner.settings, [key]: value };
    if (value === HOPPER_DEFAULTS[key as keyof typeof HOPPER_DEFAULTS]) delete settings[key];
    set(
      {
        runner: {
          ...course.runner,
          settings: Object.keys(settings).length > 0 ? settings : undefined,
        },
      },
      `runner ${key}`,
    );
  };
  const targets = course.targets ?? { steady: 60, brisk: 45, swift: 30 };
  return (
    <View style={{ gap: SPACE.l }}>
      <Field
        label="Name"
        value={course.name}
        maxLength={60}
        error={course.name.trim().length < 3 ? 'A name needs at least three letters.' : undefined}
        onChangeText={(name) => set({ name }, 'name')}
        testID="course-name"
      />
      <Choices
        label="Kind"
        value={course.kind}
        options={KINDS}
        onChange={(kind) => set({ kind })}
      />
      <Choices
        label="Space"
        value={course.space}
        options={SPACES}
        onChange={(space) => set({ space })}
      />
      <View>
        <Words as="smallStrong">Hopper</Words>
        {DIALS.map(({ key, label, unit, step, min, max }) => (
          <NumberField
            key={key}
            label={label}
            unit={unit}
            step={step}
            value={Number(course.runner.settings?.[key] ?? HOPPER_DEFAULTS[key])}
            onChange={(value) => setRunner(key, within(label, value, min, max, unit))}
          />
        ))}
      </View>
      <View>
        <Words as="smallStrong">Targets</Words>
        {TARGETS.map(({ key, label }) => (
          <NumberField
            key={key}
            label={label}
            unit="s"
            step={0.5}
            value={targets[key]}
            onChange={(value) =>
              set(
                { targets: inOrder({ ...targets, [key]: within(label, value, 0.1, 3600, 's') }) },
                `target ${key}`,
              )
            }
          />
        ))}
      </View>
      <Field
        label="Welcome line"
        value={course.welcome ?? ''}
        maxLength={200}
        placeholder="What players read before they run"
        onChangeText={(welcome) => set({ welcome: welcome || undefined }, 'welcome')}
      />
      <Field
        label="Notes"
        multiline
        value={course.notes ?? ''}
        maxLength={4000}
        placeholder="For you alone"
        onChangeText={(notes) => set({ notes: notes || undefined }, 'notes')}
      />
      <Words as="small" tint="slate">
        {metres(wayLength(plainWay(course)))} from mark to mark, tide line at{' '}
        {tideLine(course).toFixed(1)} m.
      </Words>
      <Button title="Earlier versions" icon="clock" onPress={() => setVersions(true)} />
      <VersionsSheet open={versions} onClose={() => setVersions(false)} />
    </View>
  );
}

/** @throws RangeError in words when the value is no number or out of its range */
function within(label: string, value: number, min: number, max: number, unit: string): number {
  if (!Number.isFinite(value)) throw new RangeError('That is not a number.');
  if (value < min || value > max)
    throw new RangeError(`${label} goes from ${min} to ${max} ${unit}.`);
  return Math.round(value * 1000) / 1000;
}

/** @throws RangeError when a harder target is not a shorter time */
function inOrder<T extends { steady: number; brisk: number; swift: number }>(targets: T): T {
  if (targets.swift > targets.brisk || targets.brisk > targets.steady) {
    throw new RangeError('Swift is the shortest time, then brisk, then steady.');
  }
  return targets;
}
