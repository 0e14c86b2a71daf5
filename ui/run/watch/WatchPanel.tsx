import { View } from 'react-native';
import { TICKS_PER_SECOND } from '@/core/motion';
import type { Film } from '@/core/run';
import { IconButton, runTime, Slider, Text } from '../../parts';
import { SPACE, useColours } from '../../theme';
import { RUNNER_ROWS } from '../runners';
import { speedWords } from '../speedWords';
import { Pressing } from './Pressing';
import { WATCH_SPEEDS, type UseWatchClock } from './watchClock';

interface WatchPanelProps {
  readonly film: Film;
  readonly clock: UseWatchClock;
  /** What happened on the way, by tick; shown over the line of time. */
  readonly marks: readonly WatchMark[];
}

/** Something on the line of time. */
export interface WatchMark {
  readonly tick: number;
  readonly kind: 'mark' | 'mishap';
}

/** The next of the speeds, the slowest after the fastest. */
const nextSpeed = (speed: number): number => {
  const at = WATCH_SPEEDS.findIndex((one) => one === speed);
  return WATCH_SPEEDS[(at + 1) % WATCH_SPEEDS.length];
};

/** The line of time of a run that is watched, how fast it plays, and what was pressed. */
export function WatchPanel({ film, clock, marks }: WatchPanelProps) {
  const { playing, speed, ticks, toggle, seek, setSpeed } = clock();
  const tick = Math.floor(clock((s) => s.tick));
  const { controls } = RUNNER_ROWS[film.world.runner.kind];
  return (
    <View style={{ gap: SPACE.xs }}>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: SPACE.xs }}>
        <IconButton
          icon={playing ? 'pause' : 'play'}
          label={playing ? 'Hold' : 'Play'}
          onPress={toggle}
          testID="watch-play"
        />
        <View style={{ flex: 1 }}>
          <Marks marks={marks} ticks={ticks} />
          <Slider
            label="Moment of the run"
            value={ticks > 0 ? tick / ticks : 0}
            step={ticks > 0 ? 1 / ticks : 1}
            words={`${(tick / TICKS_PER_SECOND).toFixed(2)} seconds`}
            onChange={(part) => seek(part * ticks)}
            testID="watch-line"
          />
        </View>
        <Text as="smallFigures" style={{ width: 66, textAlign: 'right' }} testID="watch-at">
          {runTime(tick / TICKS_PER_SECOND)}
        </Text>
      </View>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: SPACE.xs }}>
        <IconButton
          icon="chevron-left"
          label="One tick back"
          onPress={() => seek(tick - 1)}
          testID="watch-back"
        />
        <IconButton
          icon="chevron-right"
          label="One tick on"
          onPress={() => seek(tick + 1)}
          testID="watch-on"
        />
        <IconButton
          icon="fast-forward"
          label={`Speed ${speed}×`}
          onPress={() => setSpeed(nextSpeed(speed))}
          testID="watch-speed"
        />
        <Text as="smallFigures">{speedWords(speed)}</Text>
        <View style={{ flex: 1 }} />
        {controls.kind !== 'strokes' && (
          <Pressing input={film.inputAt(tick)} button={controls.kind === 'pad'} />
        )}
      </View>
    </View>
  );
}

function Marks({ marks, ticks }: { readonly marks: readonly WatchMark[]; readonly ticks: number }) {
  const colours = useColours();
  return (
    <View
      pointerEvents="none"
      aria-hidden
      style={{ position: 'absolute', left: 8, right: 8, top: 2, height: 10 }}
    >
      {marks.map(({ tick, kind }, i) => (
        <View
          key={i}
          style={{
            position: 'absolute',
            left: `${(100 * tick) / Math.max(1, ticks)}%`,
            width: 8,
            height: 8,
            marginLeft: -4,
            borderRadius: kind === 'mark' ? 4 : 1,
            backgroundColor: kind === 'mark' ? colours.heather : colours.rust,
          }}
        />
      ))}
    </View>
  );
}
