import { View } from 'react-native';
import type { PublishedCourse } from '@/core/protocol';
import { runTime, Words } from '../parts';
import { SPACE, useColours } from '../theme';

/** The best runs of a course, the first in rank first. */
export function BestTimes({ best }: { best: PublishedCourse['best'] }) {
  const colours = useColours();
  return (
    <View testID="best-times">
      <Words as="heading">{best[0]?.strokes === undefined ? 'Best times' : 'Fewest strokes'}</Words>
      {best.length === 0 && (
        <Words tint="slate">Nobody has finished it yet. Yours would be the first.</Words>
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
          <Words as="figures" tint="slate" style={{ width: 32 }}>
            {i + 1}
          </Words>
          <Words as={own ? 'strong' : 'text'} style={{ flex: 1 }}>
            {player}
            {own ? ' (you)' : ''}
          </Words>
          {strokes !== undefined && (
            <Words as="figures" tint="slate" style={{ marginRight: SPACE.m }}>
              {strokes} {strokes === 1 ? 'stroke' : 'strokes'}
            </Words>
          )}
          <Words as="figures">{runTime(time)}</Words>
        </View>
      ))}
    </View>
  );
}
