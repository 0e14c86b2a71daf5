import { View } from 'react-native';
import type { PublishedCourse } from '@/core/protocol';
import { runTime, Text } from '../parts';
import { SPACE, useColours } from '../theme';

/** The best runs of a course, the first in rank first. */
export function BestTimes({ best }: { best: PublishedCourse['best'] }) {
  const colours = useColours();
  return (
    <View testID="best-times">
      <Text as="heading">{best[0]?.strokes === undefined ? 'Best times' : 'Fewest strokes'}</Text>
      {best.length === 0 && (
        <Text tint="slate">Nobody has finished it yet. Yours would be the first.</Text>
      )}
      {best.map(({ player, time, strokes, own }, i) => (
        <View
          key={`${player} ${time}`}
          style={{
            flexDirection: 'row',
            alignItems: 'center',
            minHeight: 40,
            borderTopWidth: i === 0 ? 0 : 1,
            borderColor: colours.line,
          }}
        >
          <Text as="figures" tint="slate" style={{ width: 32 }}>
            {i + 1}
          </Text>
          <Text as={own ? 'strong' : 'text'} style={{ flex: 1 }}>
            {player}
            {own ? ' (you)' : ''}
          </Text>
          {strokes !== undefined && (
            <Text as="figures" tint="slate" style={{ marginRight: SPACE.m }}>
              {strokes} {strokes === 1 ? 'stroke' : 'strokes'}
            </Text>
          )}
          <Text as="figures">{runTime(time)}</Text>
        </View>
      ))}
    </View>
  );
}
