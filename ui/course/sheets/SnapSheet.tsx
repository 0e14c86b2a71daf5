import { View } from 'react-native';
import { Switch } from '@rneui/themed';
import { GRID_STEPS, TURN_STEPS } from '@/core/assemble';
import { Choices, Sheet, Words } from '../../parts';
import { SPACE, TARGET, useColours } from '../../theme';
import { useLayOf } from '../layStore';

const words = (step: number, unit: string) => (step === 0 ? 'Off' : `${step} ${unit}`);

/** Grid step for each axis, turn step, and what else takes hold. */
export function SnapSheet({ onClose }: { onClose: () => void }) {
  const { steps, turnStep, ends, corners, surface, snapping, set } = useLayOf(
    'steps',
    'turnStep',
    'ends',
    'corners',
    'surface',
    'snapping',
    'set',
  );
  const setStep = (axis: number | 'all') => (value: string) => {
    const step = Number(value);
    set({
      snapping: true,
      steps:
        axis === 'all'
          ? [step, step, step]
          : ([0, 1, 2].map((i) => (i === axis ? step : steps[i])) as never),
    });
  };
  const same = steps.every((step) => step === steps[0]);
  const options = GRID_STEPS.map((step) => ({ value: String(step), label: words(step, 'm') }));
  return (
    <Sheet title="Steps and snaps" open onClose={onClose}>
      <Toggle label="Snap" value={snapping} onChange={(value) => set({ snapping: value })} />
      <Words as="small" tint="slate">
        Hold Alt and nothing snaps while it is down.
      </Words>
      <Choices
        label="Grid, all axes"
        value={same ? String(steps[0]) : ''}
        options={options}
        onChange={setStep('all')}
      />
      {(['x', 'y', 'z'] as const).map((axis, i) => (
        <Choices
          key={axis}
          label={`Grid along ${axis}`}
          value={String(steps[i])}
          options={options}
          onChange={setStep(i)}
        />
      ))}
      <Choices
        label="Turns"
        value={String(turnStep)}
        options={TURN_STEPS.map((step) => ({
          value: String(step),
          label: step === 0 ? 'Off' : `${step}°`,
        }))}
        onChange={(value) => set({ turnStep: Number(value) })}
      />
      <Toggle label="Open ends" value={ends} onChange={(value) => set({ ends: value })} />
      <Toggle label="Corners" value={corners} onChange={(value) => set({ corners: value })} />
      <Toggle label="Surfaces" value={surface} onChange={(value) => set({ surface: value })} />
    </Sheet>
  );
}

export function Toggle({
  label,
  value,
  onChange,
}: {
  label: string;
  value: boolean;
  onChange: (value: boolean) => void;
}) {
  const colours = useColours();
  return (
    <View
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        justifyContent: 'space-between',
        minHeight: TARGET,
        gap: SPACE.m,
      }}
    >
      <Words>{label}</Words>
      <Switch
        value={value}
        onValueChange={onChange}
        color={colours.moss}
        accessibilityLabel={label}
      />
    </View>
  );
}
