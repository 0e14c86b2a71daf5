import type { ReactNode } from 'react';
import { StyleSheet, useWindowDimensions, View } from 'react-native';
import type { Course } from '@/core/course';
import { Card, IconButton, PiecePicture, swells, Text } from '../../parts';
import { RADIUS, SPACE } from '../../theme';
import { runKeysOf, shownCode } from '../controls/runKeys';
import type { LiveRun } from '../liveRun';
import { OVER_SCENE } from './overScene';
import { PassedRow } from './PassedRow';
import { RunClock } from './RunClock';
import type { HudFacts } from './hudFacts';
import { useHudFacts } from './useHudFacts';
import type { Best } from '../finish/finished';
import type { GatheredTally } from './gatheredTally';

interface RunHudProps {
  readonly live: LiveRun;
  readonly course: Course;
  readonly best?: Best;
  /** What was on the clock when the attempt began, s. */
  readonly before?: number;
  readonly held: boolean;
  readonly onPause: () => void;
  /** Goes back at once to where the course is built; none for players, who are asked first. */
  readonly onLeave?: () => void;
  /** Under all that: what comes and goes. */
  readonly children?: ReactNode;
}

const SHELL = { family: 'shell' };

/** Pause, clock, split and what is gathered, over the scene. */
export function RunHud({
  live,
  course,
  best,
  before,
  held,
  onPause,
  onLeave,
  children,
}: RunHudProps) {
  const { width } = useWindowDimensions();
  const { world } = live;
  const { word, fields, tally, gathered } = useHudFacts(live, course, best, held);
  return (
    <View
      pointerEvents="box-none"
      style={{ paddingHorizontal: SPACE.m, paddingTop: SPACE.m + 2, zIndex: 1 }}
    >
      <View
        pointerEvents="box-none"
        style={{ flexDirection: 'row', alignItems: 'flex-start', justifyContent: 'space-between' }}
      >
        <Card style={{ flexDirection: 'row' }}>
          {onLeave && (
            <IconButton
              icon="chevron-left"
              label="Back to building"
              hint={shownCode(runKeysOf('leave')[0])}
              onPress={onLeave}
              testID="run-back"
            />
          )}
          <IconButton icon="pause" label="Pause" hint="P" onPress={onPause} />
        </Card>
        <View
          pointerEvents="none"
          style={[styles.facts, { paddingBottom: tally.length + fields.length > 0 ? SPACE.xs : 0 }]}
        >
          <RunClock live={live} held={held} before={before} />
          <Facts fields={fields} tally={tally} />
        </View>
        {world.pickups.length > 0 ? (
          <Gathered {...gathered} />
        ) : (
          <View style={{ width: onLeave ? 92 : 46 }} />
        )}
      </View>
      <PassedRow live={live} width={Math.min(width - 40, 520)} />
      {/* Under what stays, so that nothing moves when it comes and goes. */}
      {word && (
        <View pointerEvents="none" style={styles.word}>
          <Text as="figures" style={{ color: word.good === false ? '#8F3420' : '#2F5A42' }}>
            {word.words}
          </Text>
        </View>
      )}
      {children}
    </View>
  );
}

/** The fields the runner stands in, and the counts of its goal. */
function Facts({ fields, tally }: Pick<HudFacts, 'fields' | 'tally'>) {
  return (
    <>
      {fields.map((words) => (
        <Text key={words} as="smallStrong" style={{ color: '#155A6B' }}>
          {words}
        </Text>
      ))}
      {tally.map((line, i) => (
        <Text
          key={i}
          as="smallFigures"
          testID={i === 0 ? 'run-tally' : undefined}
          style={{ color: '#1F2A2E' }}
        >
          {line}
        </Text>
      ))}
    </>
  );
}

/** How much of what is asked for, or there is, was gathered. */
function Gathered({ count, of }: GatheredTally) {
  return (
    <Card
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        minHeight: 46,
        paddingHorizontal: SPACE.s,
        gap: SPACE.xs,
      }}
    >
      <View key={count} style={count > 0 && swells()}>
        <PiecePicture piece={SHELL} size={26} />
      </View>
      <Text as="figures" role="img" aria-label={`${count}/${of} shells`}>
        {count}/{of}
      </Text>
    </Card>
  );
}

const styles = StyleSheet.create({
  facts: {
    alignItems: 'center',
    flexShrink: 1,
    marginHorizontal: SPACE.s,
    paddingHorizontal: SPACE.m,
    borderRadius: RADIUS.m,
    backgroundColor: OVER_SCENE,
  },
  word: {
    alignSelf: 'center',
    marginTop: SPACE.s,
    paddingHorizontal: SPACE.m,
    borderRadius: RADIUS.m,
    backgroundColor: OVER_SCENE,
  },
});
