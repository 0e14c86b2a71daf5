import { useMemo } from 'react';
import { View } from 'react-native';
import { IconButton, Words } from '../../parts';
import { useCourse } from '../../state/courseStore';
import { SPACE, useColours } from '../../theme';
import { commonPeriod } from './scrub';
import { Slider } from './Slider';
import { useTune } from './tuneStore';

const SPEEDS = [0.25, 0.5, 1, 2];

/** Plays all motion of a course without a run: forward and back along one period of everything. */
export function Scrubber() {
  const colours = useColours();
  const course = useCourse((s) => s.course);
  const { at, playing, speed, set } = useTune();
  const { pieces, tempo } = course;
  const period = useMemo(
    () => commonPeriod({ ...course, pieces, tempo }),
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [pieces, tempo],
  );
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
        <Slider
          label="Moment"
          value={(at % period) / period}
          onChange={(part) => set({ at: part * period, playing: false })}
        />
      </View>
      <Words as="smallFigures" style={{ width: 46, textAlign: 'right' }} testID="scrub-at">
        {`${(at % period).toFixed(1)} s`}
      </Words>
      <IconButton
        icon="fast-forward"
        label={`Speed ${speed}×`}
        onPress={() => set({ speed: SPEEDS[(SPEEDS.indexOf(speed) + 1) % SPEEDS.length] })}
      />
      <IconButton
        icon="rotate-ccw"
        label="Back to rest"
        onPress={() => set({ at: 0, playing: false })}
      />
    </View>
  );
}
