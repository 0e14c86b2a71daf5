import { TICKS_PER_SECOND } from '@/core/motion';
import { useEffect, useState } from 'react';
import { useWindowDimensions, View } from 'react-native';
import type { Course } from '@/core/course';
import { Card, IconButton, PiecePicture, runTime, swells, Text } from '../../parts';
import { RADIUS, SPACE } from '../../theme';
import { fieldWords } from './fieldWords';
import { latestWord, tallyOf } from './hudWords';
import type { LiveRun } from '../liveRun';
import { PassedRow } from './PassedRow';
import type { Best } from '../finish/finished';

interface RunHudProps {
  readonly live: LiveRun;
  readonly course: Course;
  readonly best?: Best;
  readonly held: boolean;
  readonly onPause: () => void;
}

const SHELL = { family: 'shell' };

/** Pause, clock, split and what is gathered, over the scene. */
export function RunHud({ live, course, best, held, onPause }: RunHudProps) {
  const { width } = useWindowDimensions();
  const [, redraw] = useState(0);
  useEffect(() => {
    if (held) return;
    let frame = requestAnimationFrame(function next() {
      redraw((n) => n + 1);
      frame = requestAnimationFrame(next);
    });
    return () => cancelAnimationFrame(frame);
  }, [held, live]);

  const { state, world } = live;
  const passed = state.finish >= 0 ? state.finish : state.tick / TICKS_PER_SECOND;
  // Where there is a limit, what is left of it is what one has to know.
  const seconds = world.limit > 0 ? Math.max(0, world.limit / TICKS_PER_SECOND - passed) : passed;
  const word = latestWord(live, best);
  return (
    <View
      pointerEvents="box-none"
      style={{ paddingHorizontal: SPACE.m, paddingTop: SPACE.m + 2, zIndex: 1 }}
    >
      <View
        pointerEvents="box-none"
        style={{ flexDirection: 'row', alignItems: 'flex-start', justifyContent: 'space-between' }}
      >
        <Card>
          <IconButton icon="pause" label="Pause" hint="P" onPress={onPause} />
        </Card>
        <View
          pointerEvents="none"
          style={{
            alignItems: 'center',
            paddingHorizontal: SPACE.m,
            borderRadius: RADIUS.m,
            // Read over a tower's wall or an evening sea as over a pale sky.
            backgroundColor: 'rgba(251,249,244,0.84)',
          }}
        >
          <Text as="clock" testID="run-clock" style={{ color: '#1F2A2E' }}>
            {runTime(seconds)}
          </Text>
          <Text
            as="figures"
            style={{ color: word?.good === false ? '#8F3420' : '#2F5A42', minHeight: 20 }}
          >
            {word?.words ?? ' '}
          </Text>
          {fieldWords(world, state).map((words) => (
            <Text key={words} as="smallStrong" style={{ color: '#155A6B' }}>
              {words}
            </Text>
          ))}
          {tallyOf(live, course).map((line, i) => (
            <Text
              key={i}
              as="smallFigures"
              testID={i === 0 ? 'run-tally' : undefined}
              style={{ color: '#1F2A2E' }}
            >
              {line}
            </Text>
          ))}
        </View>
        {world.pickups.length > 0 ? (
          <Card
            style={{
              flexDirection: 'row',
              alignItems: 'center',
              minHeight: 46,
              paddingHorizontal: SPACE.s,
              gap: SPACE.xs,
            }}
          >
            <View key={state.gatheredCount} style={state.gatheredCount > 0 && swells()}>
              <PiecePicture piece={SHELL} size={26} />
            </View>
            <Text
              as="figures"
              role="img"
              aria-label={`${state.gatheredCount}/${world.pickups.length} shells`}
            >
              {state.gatheredCount}/{world.pickups.length}
            </Text>
          </Card>
        ) : (
          <View style={{ width: 46 }} />
        )}
      </View>
      <PassedRow live={live} width={Math.min(width - 40, 520)} />
    </View>
  );
}
