import { View } from 'react-native';
import type { RunnerKind } from '@/core/course';
import { Button, Card, Chip, Slider, Text } from '../../parts';
import { SPACE } from '../../theme';
import { SIZES, useTouchLayout, useTouchLayouts } from './touchLayout';

interface ArrangeProps {
  readonly kind: RunnerKind;
  readonly onDone: () => void;
}

/** While the touch controls are arranged: which hand, how large, and that they are dragged. */
export function ArrangeControls({ kind, onDone }: ArrangeProps) {
  const { leftHanded, size } = useTouchLayout(kind);
  const { set, reset } = useTouchLayouts.getState();
  const [least, most] = SIZES;
  return (
    <Card
      style={{
        margin: SPACE.m,
        padding: SPACE.m,
        gap: SPACE.s,
        maxWidth: 440,
      }}
    >
      <Text as="heading">Pad and buttons</Text>
      <Text as="small" tint="slate">
        Drag them to where your thumbs are. Each kind of runner has its own.
      </Text>
      <Text as="smallStrong">{`Size ${Math.round(size * 100)} %`}</Text>
      <Slider
        label="Size"
        value={(size - least) / (most - least)}
        step={0.05}
        words={`${Math.round(size * 100)} %`}
        onChange={(part) => set(kind, { size: least + part * (most - least) })}
      />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s }}>
        <Chip
          role="checkbox"
          label="Left-handed"
          on={leftHanded}
          onPress={() => set(kind, { leftHanded: !leftHanded })}
        />
        <Button title="As usual" onPress={() => reset(kind)} />
        <Button kind="main" title="Done" onPress={onDone} testID="arrange-done" />
      </View>
    </Card>
  );
}
