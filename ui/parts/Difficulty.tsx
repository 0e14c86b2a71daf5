import { View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import { useColours } from '../theme';
import { Text } from './Text';

/** Pixels between the stones of the easiest and of the hardest. */
const [NARROW, WIDE_GAP] = [6, 40];

/** The small one's part of the other's size. */
const SMALL = 0.7;

/** How hard something is, from 1 to 10: two stones, farther apart the harder it is. */
export function Difficulty({
  value,
  small = false,
}: {
  readonly value: number;
  /** Where there is little room. */
  readonly small?: boolean;
}) {
  const colours = useColours();
  const gap = NARROW + ((Math.min(10, Math.max(1, value)) - 1) / 9) * (WIDE_GAP - NARROW);
  const right = 20 + gap;
  const wide = right + 22;
  const hop = `M14 12 Q${17 + gap / 2} ${-6 - gap / 8} ${right + 6} 12`;
  return (
    <View
      role="img"
      aria-label={`Difficulty ${value.toFixed(1)} of 10`}
      testID="difficulty"
      style={{ flexDirection: 'row', alignItems: 'center', gap: small ? 6 : 8 }}
    >
      <Svg
        width={wide * (small ? SMALL : 1)}
        height={32 * (small ? SMALL : 1)}
        viewBox={`0 -6 ${wide} 32`}
      >
        <Path d={stone(0)} fill={colours.stoneShade} stroke={colours.ink} />
        <Path d={stone(right)} fill={colours.stoneShade} stroke={colours.ink} />
        <Path d={hop} fill="none" stroke={colours.moss} strokeWidth={2} strokeDasharray="4 3" />
      </Svg>
      <Text as={small ? 'smallFigures' : 'figures'}>{value.toFixed(1)}</Text>
    </View>
  );
}

/** A stone seen from the side, from so many pixels on. */
const stone = (x: number): string => `M${x + 1} 24 l3 -11 h12 l4 11 z`;
