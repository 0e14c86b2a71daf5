import { View } from 'react-native';
import type { PublishedCourse } from '@/core/protocol';
import { runTime, Words } from '../parts';
import { useColours } from '../theme';

/** The best times on a course, the fastest first. */
export function BestTimes({ best }: { best: PublishedCourse['best'] }) {
  const colours = useColours();
  return (
    <View testID="best-times">
      <Words as="heading">Best times</Words>
      {best.length === 0 && (
        <Words tint="slate">Nobody has finished it yet. Yours would be the first.</Words>
      )}
      {best.map(({ player, time, own }, i) => (
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
          <Words as="figures">{runTime(time)}</Words>
        </View>
      ))}
    </View>
  );
}
