import { TICKS_PER_SECOND } from '@/core/motion';
import { useMemo } from 'react';
import { View } from 'react-native';
import { IconButton, Slider, Text } from '../../../parts';
import { useDebouncedCourse } from '../../../state/debouncedCourse';
import { SPACE, useColours } from '../../../theme';
import { useFirings } from '../../open/preview/dry';
import { scrubSeconds } from '../../open/preview/scrub';
import { useTuneOf } from '../../open/tuneStore';

const SPEEDS = [0.25, 0.5, 1, 2];

/** Plays all motion of a course without a run: forward and back along one period of everything. */
export function Scrubber() {
  const colours = useColours();
  const course = useDebouncedCourse();
  const { at, playing, speed, set } = useTuneOf('at', 'playing', 'speed', 'set');
  const { pieces, tempo, links } = course;
  const period = useMemo(
    () => scrubSeconds({ ...course, pieces, tempo, links }),
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [pieces, tempo, links],
  );
  const { all } = useFirings();
  if (period === 0) return null;
  return (
    <View
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        gap: SPACE.xs,
        paddingRight: SPACE.m,
        borderRadius: 12,
        borderWidth: 1,
        borderColor: colours.line,
        backgroundColor: colours.card,
      }}
    >
      <IconButton
        icon={playing ? 'pause' : 'play'}
        label={playing ? 'Hold the motion' : 'Play the motion'}
        onPress={() => set({ playing: !playing })}
        testID="scrub-play"
      />
      <View style={{ flex: 1 }}>
        <Marks parts={all.map(({ tick }) => tick / TICKS_PER_SECOND / period)} />
        <Slider
          label="Moment"
          value={(at % period) / period}
          onChange={(part) => set({ at: part * period, playing: false })}
        />
      </View>
      <Text as="smallFigures" style={{ width: 46, textAlign: 'right' }} testID="scrub-at">
        {`${(at % period).toFixed(1)} s`}
      </Text>
      <IconButton
        icon="fast-forward"
        label={`Speed ${speed}×`}
        onPress={() => set({ speed: SPEEDS[(SPEEDS.indexOf(speed) + 1) % SPEEDS.length] })}
      />
      <IconButton
        icon="rotate-ccw"
        label="Back to rest"
        onPress={() => set({ at: 0, playing: false, tried: [] })}
      />
    </View>
  );
}

/** Where along the slider links act. */
function Marks({ parts }: { parts: readonly number[] }) {
  const colours = useColours();
  return (
    <View
      pointerEvents="none"
      style={{ position: 'absolute', left: 11, right: 11, top: 4, height: 8 }}
    >
      {parts
        .filter((part) => part <= 1)
        .map((part, i) => (
          <View
            key={i}
            testID="firing"
            style={{
              position: 'absolute',
              left: `${part * 100}%`,
              width: 8,
              height: 8,
              marginLeft: -4,
              borderRadius: 4,
              borderWidth: 1.5,
              borderColor: colours.ink,
              backgroundColor: colours.lichen,
            }}
          />
        ))}
    </View>
  );
}
