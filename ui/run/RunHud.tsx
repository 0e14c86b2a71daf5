import { useEffect, useState } from 'react';
import { useWindowDimensions, View } from 'react-native';
import type { Course } from '@/core/course';
import { missingCheckpoint, missingPickups } from '@/core/run';
import { Card, IconButton, PiecePicture, runTime, timeGap, Words } from '../parts';
import { RADIUS, SPACE, useColours } from '../theme';
import type { LiveRun } from './liveRun';
import type { Best } from './RunView';

interface RunHudProps {
  readonly live: LiveRun;
  readonly course: Course;
  readonly best?: Best;
  readonly held: boolean;
  readonly onPause: () => void;
}

const SHELL = { family: 'shell' };
/** Seconds a split stays to be read. */
const SPLIT_SHOWN = 4;

/** Pause, clock, split and what is gathered, over the scene. */
export function RunHud({ live, course, best, held, onPause }: RunHudProps) {
  const colours = useColours();
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

  const { state, world, events } = live;
  const passed = state.finish >= 0 ? state.finish : state.tick / 120;
  // Where there is a limit, what is left of it is what one has to know.
  const seconds = world.limit > 0 ? Math.max(0, world.limit / 120 - passed) : passed;
  const word = latestWord(live, best);
  const tally = tallyOf(live, course);
  const reached = new Set(
    events.filter(({ kind }) => kind === 'checkpoint').map(({ piece }) => piece),
  );
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
          <Words as="clock" testID="run-clock" style={{ color: '#1F2A2E' }}>
            {runTime(seconds)}
          </Words>
          <Words
            as="figures"
            style={{ color: word?.good === false ? '#8F3420' : '#2F5A42', minHeight: 20 }}
          >
            {word?.words ?? ' '}
          </Words>
          {tally && (
            <Words as="smallFigures" testID="run-tally" style={{ color: '#1F2A2E' }}>
              {tally}
            </Words>
          )}
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
            <PiecePicture piece={SHELL} size={26} />
            <Words
              as="figures"
              accessibilityLabel={`${state.gatheredCount} of ${world.pickups.length} shells`}
            >
              {state.gatheredCount}/{world.pickups.length}
            </Words>
          </Card>
        ) : (
          <View style={{ width: 46 }} />
        )}
      </View>
      <View
        pointerEvents="none"
        style={{
          flexDirection: 'row',
          alignItems: 'center',
          alignSelf: 'center',
          width: Math.min(width - 40, 520),
          marginTop: 4,
        }}
      >
        {world.checkpoints.map(({ piece, number }) => {
          const on = reached.has(world.pieces[piece].id);
          return (
            <View key={piece} style={{ flex: 1, flexDirection: 'row', alignItems: 'center' }}>
              <View
                style={{
                  flex: 1,
                  height: 4,
                  backgroundColor: on ? '#3F6B52' : 'rgba(31,42,46,0.25)',
                }}
              />
              <View
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
                <Words
                  as="smallStrong"
                  style={{ fontSize: 11, lineHeight: 16, color: on ? '#FFFFFF' : '#5B3F74' }}
                >
                  {number}
                </Words>
              </View>
            </View>
          );
        })}
        <View style={{ flex: 1, height: 4, backgroundColor: 'rgba(31,42,46,0.25)' }} />
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
    </View>
  );
}

/** The last thing worth a word: a split against the best, a fall, a shut goal. */
function latestWord(live: LiveRun, best: RunHudProps['best']) {
  const { events, state, world } = live;
  for (let i = events.length - 1; i >= 0; i--) {
    const event = events[i];
    if (state.tick / 120 - event.time > SPLIT_SHOWN) return null;
    if (event.kind === 'checkpoint') {
      const number = world.checkpoints.find(
        (c) => world.pieces[c.piece].id === event.piece,
      )?.number;
      const other = best?.splits.find((split) => split.piece === event.piece);
      if (!other) return { words: `${runTime(event.time)} at cairn ${number}`, good: true };
      const gap = event.time - other.time;
      return { words: `${timeGap(gap)} at cairn ${number}`, good: gap <= 0 };
    }
    if (event.kind === 'message') return { words: event.text ?? '', good: true };
    if (event.kind === 'shut') return { words: whatIsMissing(live, event.piece), good: false };
    if (event.kind === 'missed') {
      return { words: `Cairn ${missingCheckpoint(world, state)} comes first`, good: false };
    }
    if (event.kind === 'leg') {
      return { words: `Leg ${state.leg} done at ${runTime(event.time)}`, good: true };
    }
    if (event.kind === 'break') return { words: 'Broken', good: true };
    if (event.kind === 'loop') {
      return { words: `Links ${event.text} bring each other about`, good: false };
    }
    if (event.kind === 'lap') {
      return { words: `Round ${state.lap} of ${world.laps} at ${runTime(event.time)}`, good: true };
    }
    if (event.kind === 'switch') return { words: 'A gate opens', good: true };
    if (event.kind === 'hazard') return { words: 'Hurt', good: false };
    if (event.kind === 'crush') return { words: 'Crushed', good: false };
    if (event.kind === 'fall') return { words: 'Into the tide', good: false };
    if (event.kind === 'lost') return { words: 'Lost: thrown out of the course', good: false };
  }
  return null;
}

/** What is counted beside the time: the leg and its strokes, or the worth gathered. */
function tallyOf({ state, world }: LiveRun, course: Course): string | null {
  const strokes = world.kind === 'strokes' || world.runner.kind === 'flick';
  const made = (count: number) => `${count} ${count === 1 ? 'stroke' : 'strokes'}`;
  if (world.legs > 0) {
    const leg = Math.min(state.leg, world.legs - 1);
    if (!strokes) return `Leg ${leg + 1} of ${world.legs}`;
    const par = course.legs?.[leg]?.par;
    const own = made(state.jumps - state.legJumps);
    return `Leg ${leg + 1}, ${own}${par ? `, par ${par}` : ''}`;
  }
  if (strokes) return made(state.jumps);
  const counted = world.pieces.some(
    ({ worth, family }) => worth !== undefined || family === 'tally',
  );
  return counted || Math.abs(state.worth - state.gatheredCount) > 0.5
    ? `Worth ${Math.floor(state.worth)}`
    : null;
}

/** What a shut goal still waits for, in words. */
function whatIsMissing({ state, world }: LiveRun, piece: string | undefined): string {
  const cairn = missingCheckpoint(world, state);
  if (cairn >= 0) return `Cairn ${cairn} was missed`;
  const place = world.pieces.findIndex(({ id }) => id === piece);
  const lock = world.locks[world.pieceLocks[place]];
  if (lock?.kind === 'barred' && lock.opens === 'worth') {
    return `Worth ${Math.ceil(lock.amount - (state.worth - state.legWorth))} still missing`;
  }
  if (lock?.kind === 'barred' && lock.opens === 'link') return 'Shut until something opens it';
  const missing =
    lock?.kind === 'barred' && lock.opens === 'count'
      ? lock.amount - (state.gatheredCount - state.legGathered)
      : missingPickups(world, state);
  return `${missing} ${missing === 1 ? 'shell' : 'shells'} still missing`;
}
