import { View } from 'react-native';
import { Chip, Text } from '../../parts';
import { toggleEnds, useShownRuns } from '../../state/shownRuns';
import { RADIUS, SPACE, useColours } from '../../theme';
import type { KnownRun } from '../runs/runsKnown';

/** How many tries ended after a mark, or after the start. */
export interface EndsThere {
  readonly words: string;
  readonly count: number;
}

/** Where the tries that did not get there ended, by the mark each had passed last; where most did comes first. */
export function endsByMark(runs: readonly KnownRun[]): EndsThere[] {
  const counts = new Map<string, number>();
  for (const { finished, parts } of runs) {
    if (finished) continue;
    const last = parts[parts.length - 1];
    const words = last ? `after ${last.name.toLowerCase()}` : 'after the start';
    counts.set(words, (counts.get(words) ?? 0) + 1);
  }
  return [...counts].map(([words, count]) => ({ words, count })).sort((a, b) => b.count - a.count);
}

/** Where tries end, as bars. */
export function EndsList({ runs }: { readonly runs: readonly KnownRun[] }) {
  const colours = useColours();
  const shown = useShownRuns((s) => s.ends);
  const ends = endsByMark(runs);
  if (ends.length === 0) return null;
  const most = ends[0].count;
  return (
    <View style={{ gap: SPACE.xs }} testID="ends">
      <Text as="heading">Where tries end</Text>
      {ends.map(({ words, count }) => (
        <View
          key={words}
          style={{ flexDirection: 'row', alignItems: 'center', minHeight: 30, gap: SPACE.s }}
        >
          <Text as="small" style={{ width: 150 }}>
            {words}
          </Text>
          <View style={{ flex: 1 }}>
            <View
              style={{
                width: `${(100 * count) / most}%`,
                height: 10,
                borderRadius: RADIUS.s,
                backgroundColor: colours.rust,
              }}
            />
          </View>
          <Text as="figures">{String(count)}</Text>
        </View>
      ))}
      <View style={{ flexDirection: 'row' }}>
        <Chip role="checkbox" label="Show them on the course" on={shown} onPress={toggleEnds} />
      </View>
    </View>
  );
}
