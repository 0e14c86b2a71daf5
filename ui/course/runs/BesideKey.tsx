import { View } from 'react-native';
import Svg, { Line } from 'react-native-svg';
import type { RunSheet } from '@/core/timing';
import { Text, timeGap } from '../../parts';
import { SPACE, useColours } from '../../theme';
import { besideLine } from './besideLines';

interface BesideKeyProps {
  readonly sheet: RunSheet;
  /** What the runs it is held against are called, in their order. */
  readonly names: readonly string[];
}

/** Which line is whose, and by how much the shown run came later at the goal. */
export function BesideKey({ sheet, names }: BesideKeyProps) {
  const colours = useColours();
  return (
    <View
      style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: SPACE.l, rowGap: SPACE.xs }}
      testID="beside-key"
    >
      {sheet.beside.map((run, i) => {
        const { ink, dashes } = besideLine(i);
        return (
          <View key={i} style={{ flexDirection: 'row', alignItems: 'center', gap: SPACE.s }}>
            <Svg width={28} height={10} aria-hidden>
              <Line
                x1={0}
                x2={28}
                y1={5}
                y2={5}
                stroke={colours[ink]}
                strokeWidth={2.5}
                strokeDasharray={dashes}
              />
            </Svg>
            <Text as="small">{names[i]}</Text>
            {sheet.finished && run.finished && (
              <Text as="smallFigures" tint={sheet.time > run.time ? 'rust' : 'moss'}>
                {timeGap(sheet.time - run.time)}
              </Text>
            )}
          </View>
        );
      })}
    </View>
  );
}
