import { View } from 'react-native';
import { PHASES, type RunPhase } from '@/core/timing';
import { Text } from '../../parts';
import { SPACE, useColours } from '../../theme';

const WORDS: Record<RunPhase, string> = {
  moving: 'on foot',
  waiting: 'waiting',
  air: 'in the air',
  hit: 'thrown off',
  back: 'coming back',
};
/** Parts of a run under this are not drawn, s. */
const LEAST = 0.05;

/** Where the time of a run went, as one bar and in figures. */
export function SpentBar({ spent }: { spent: Readonly<Record<RunPhase, number>> }) {
  const colours = useColours();
  const tints: Record<RunPhase, string> = {
    moving: colours.stoneShade,
    waiting: colours.tide,
    air: colours.moss,
    hit: colours.rust,
    back: colours.heather,
  };
  const shown = PHASES.filter((phase) => spent[phase] >= LEAST);
  return (
    <View style={{ gap: SPACE.s }} testID="time-spent">
      <View
        aria-hidden
        style={{ flexDirection: 'row', height: 12, borderRadius: 6, overflow: 'hidden' }}
      >
        {shown.map((phase) => (
          <View key={phase} style={{ flex: spent[phase], backgroundColor: tints[phase] }} />
        ))}
      </View>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: SPACE.m, rowGap: 2 }}>
        {shown.map((phase) => (
          <View key={phase} style={{ flexDirection: 'row', alignItems: 'center', gap: SPACE.xs }}>
            <View
              style={{ width: 10, height: 10, borderRadius: 2, backgroundColor: tints[phase] }}
            />
            <Text as="small">
              {WORDS[phase]} <Text as="smallFigures">{spent[phase].toFixed(1)} s</Text>
            </Text>
          </View>
        ))}
      </View>
    </View>
  );
}
