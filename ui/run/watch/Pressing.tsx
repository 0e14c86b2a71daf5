import { View } from 'react-native';
import { FULL_PAD, type Input } from '@/core/run';
import { useColours } from '../../theme';

/** What the controls stood at: where the pad was pushed, and whether the button was held. */
export function Pressing({ input, button }: { readonly input: Input; readonly button: boolean }) {
  const colours = useColours();
  const [x, z] = [input.x / FULL_PAD, input.z / FULL_PAD];
  const words = [
    x !== 0 || z !== 0 ? `pad ${x.toFixed(1)}, ${(-z).toFixed(1)}` : 'pad at rest',
    button && input.jump ? 'button held' : '',
  ];
  return (
    <View
      role="img"
      aria-label={`Pressed: ${words.filter(Boolean).join(', ')}`}
      testID="watch-pressed"
      style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}
    >
      <View
        style={{
          width: 44,
          height: 44,
          borderRadius: 22,
          borderWidth: 1.5,
          borderColor: colours.slate,
        }}
      >
        <View
          style={{
            position: 'absolute',
            left: 15 + 14 * x,
            top: 15 + 14 * z,
            width: 11,
            height: 11,
            borderRadius: 6,
            backgroundColor: x !== 0 || z !== 0 ? colours.moss : colours.line,
          }}
        />
      </View>
      {button && (
        <View
          style={{
            width: 26,
            height: 26,
            borderRadius: 13,
            borderWidth: 1.5,
            borderColor: colours.slate,
            backgroundColor: input.jump ? colours.moss : 'transparent',
          }}
        />
      )}
    </View>
  );
}
