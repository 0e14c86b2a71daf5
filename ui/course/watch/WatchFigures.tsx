import { View } from 'react-native';
import type { Course } from '@/core/course';
import { TICKS_PER_SECOND } from '@/core/motion';
import type { RunSheet } from '@/core/timing';
import { ListItem, runTime, Text } from '../../parts';
import type { UseWatchClock } from '../../run/watch/watchClock';
import { mishapWords } from '../runs/MishapList';
import { SheetCharts } from '../runs/SheetCharts';

interface WatchFiguresProps {
  readonly course: Course;
  readonly sheet: RunSheet;
  /** What the runs it is held against are called, in their order. */
  readonly names: readonly string[];
  readonly clock: UseWatchClock;
}

/** How long before something that went wrong one begins to look, ticks. */
const BEFORE = 2 * TICKS_PER_SECOND;

/** Charts, parts and what went wrong of the run that is watched; touching any goes there. */
export function WatchFigures({ course, sheet, names, clock }: WatchFiguresProps) {
  const tick = Math.floor(clock((s) => s.tick));
  const seek = clock((s) => s.seek);
  return (
    <>
      <SheetCharts sheet={sheet} names={names} at={tick} onGo={seek} />
      <View>
        <Text as="heading">Parts</Text>
        {sheet.parts.map(({ key, name, at, time }) => (
          <Row
            key={key}
            words={name}
            figures={runTime(time)}
            onPress={() => seek((at - time) * TICKS_PER_SECOND)}
          />
        ))}
      </View>
      {sheet.mishaps.length > 0 && (
        <View>
          <Text as="heading">Falls and hits</Text>
          {sheet.mishaps.map((mishap) => (
            <Row
              key={`${mishap.tick} ${mishap.kind}`}
              words={mishapWords(mishap, course)}
              figures={`${(mishap.tick / TICKS_PER_SECOND).toFixed(1)} s`}
              onPress={() => seek(mishap.tick - BEFORE)}
            />
          ))}
        </View>
      )}
    </>
  );
}

interface RowProps {
  readonly words: string;
  readonly figures: string;
  readonly onPress: () => void;
}

function Row({ words, figures, onPress }: RowProps) {
  return (
    <ListItem on={false} onPress={onPress}>
      <Text style={{ flex: 1 }}>{words}</Text>
      <Text as="figures">{figures}</Text>
    </ListItem>
  );
}
