import type { PropsWithChildren } from 'react';
import { Pressable, View } from 'react-native';
import type { Finding } from '@/core/check';
import { Feather, Text } from '../../parts';
import { useView } from '../../scene';
import { useCourse } from '../../state/courseStore';
import { SPACE, TARGET, useColours } from '../../theme';

interface FindingRowProps {
  readonly finding: Finding;
  readonly isFirst: boolean;
  readonly onShown?: () => void;
}

/** One finding, which leads to its place, over what can be done about it. */
export function FindingRow({
  finding: { at, piece, weight, message },
  isFirst,
  onShown,
  children,
}: PropsWithChildren<FindingRowProps>) {
  const colours = useColours();
  const show = () => {
    if (at) useView.getState().look({ target: at });
    if (piece) useCourse.getState().choose([piece]);
    onShown?.();
  };
  return (
    <View
      style={{
        borderTopWidth: isFirst ? 0 : 1,
        borderColor: colours.line,
        paddingVertical: SPACE.s,
        gap: SPACE.s,
      }}
    >
      <Pressable
        accessibilityRole={at ? 'button' : undefined}
        disabled={!at}
        onPress={show}
        style={{ flexDirection: 'row', gap: SPACE.m, minHeight: TARGET, alignItems: 'center' }}
      >
        <Feather
          name={weight === 'error' ? 'alert-octagon' : 'info'}
          size={20}
          color={weight === 'error' ? colours.rust : colours.slate}
        />
        <Text style={{ flex: 1 }}>{message}</Text>
        {at && <Feather name="crosshair" size={20} color={colours.slate} />}
      </Pressable>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s }}>{children}</View>
    </View>
  );
}
