import { View } from 'react-native';
import { Text } from '../../parts';
import { useColours } from '../../theme';
import type { LiveRun } from '../liveRun';

const AHEAD = 'rgba(31,42,46,0.25)';

/** The checkpoints of the leg and round being run, lit as they are passed, and the goal. */
export function PassedRow({ live: { world, state }, width }: { live: LiveRun; width: number }) {
  const colours = useColours();
  const shown = world.checkpoints
    .map((checkpoint, place) => ({ ...checkpoint, on: state.passed[place] === 1 }))
    .filter(({ leg }) => world.legs === 0 || leg === state.leg)
    .sort((a, b) => a.number - b.number);
  return (
    <View
      pointerEvents="none"
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        alignSelf: 'center',
        width,
        marginTop: 4,
      }}
    >
      {shown.map(({ piece, number, on }) => (
        <View key={piece} style={{ flex: 1, flexDirection: 'row', alignItems: 'center' }}>
          <View style={{ flex: 1, height: 4, backgroundColor: on ? '#3F6B52' : AHEAD }} />
          <View
            testID={on ? 'passed' : 'ahead'}
            style={{
              width: 20,
              height: 20,
              borderRadius: 10,
              alignItems: 'center',
              backgroundColor: on ? '#7A5A94' : '#FBF9F4',
              borderWidth: 2,
              borderColor: '#7A5A94',
            }}
          >
            <Text
              as="smallStrong"
              style={{ fontSize: 11, lineHeight: 16, color: on ? '#FFFFFF' : '#5B3F74' }}
            >
              {number}
            </Text>
          </View>
        </View>
      ))}
      <View style={{ flex: 1, height: 4, backgroundColor: AHEAD }} />
      <View
        style={{
          width: 18,
          height: 18,
          borderRadius: 9,
          backgroundColor: '#F0D36B',
          borderWidth: 3,
          borderColor: colours.heather,
        }}
      />
    </View>
  );
}
