import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import { ScrollView, useWindowDimensions, View } from 'react-native';
import type { Course } from '@/core/course';
import { TICKS_PER_SECOND } from '@/core/motion';
import type { Film } from '@/core/run';
import { Button, Card, Chip, IconButton, Text } from '../../parts';
import { usePales } from '../../run/pale/usePales';
import type { UseWatchClock } from '../../run/watch/watchClock';
import { WatchCanvas } from '../../run/watch/WatchCanvas';
import { WatchPanel, type WatchMark } from '../../run/watch/WatchPanel';
import { usePausedRun } from '../../state/pausedRun';
import { SPACE, useColours, WIDE } from '../../theme';
import { useKeepMoment } from '../open/useKeepMoment';
import { useRunsBeside } from '../runs/useRunsBeside';
import type { KnownRun } from '../runs/runsKnown';
import { useLines } from '../runs/useRunLines';
import { useSheet } from '../runs/useSheet';
import { useKnownRuns } from '../runs/useKnownRuns';
import { usePaleRuns } from '../runs/usePaleRuns';
import { WatchFigures } from './WatchFigures';
import { WatchRibbon } from './WatchRibbon';
import { watchedMoment } from './watchedMoment';
import { coursePage, runPage, timesPage, goBack } from '../../device/routes';

interface WatchingProps {
  readonly id: string;
  readonly course: Course;
  readonly shown: KnownRun;
  readonly film: Film;
  readonly clock: UseWatchClock;
}

/** The run over its scene, its line of time, and its figures beside or folded below. */
export function Watching({ id, course, shown, film, clock }: WatchingProps) {
  const colours = useColours();
  const { width, height } = useWindowDimensions();
  const wide = width >= WIDE;
  const [follows, setFollows] = useState(true);
  const [shapes, setShapes] = useState(false);
  const [unfolded, setUnfolded] = useState(false);
  const { find } = useKnownRuns(id, course);
  const { data: read, error } = useSheet(course, shown, useRunsBeside(shown, find));
  const pales = usePales(course, usePaleRuns(id, course)).filter(({ key }) => key !== shown.key);
  const one = useMemo(() => [shown], [shown]);
  const line = useLines(id, course, one)?.[0] ?? null;
  const marks = useMemo((): WatchMark[] => {
    const { parts = [], mishaps = [] } = read?.sheet ?? {};
    return [
      ...parts.map(({ at }) => ({ tick: at * TICKS_PER_SECOND, kind: 'mark' as const })),
      ...mishaps.map(({ tick }) => ({ tick, kind: 'mishap' as const })),
    ];
  }, [read]);
  const keep = useKeepMoment(id);
  const moment = () => {
    film.goTo(Math.floor(clock.getState().tick));
    return watchedMoment(course, film, shown, Date.now());
  };
  const runFromHere = () => {
    usePausedRun.setState({ course: id, moment: moment(), atOnce: true });
    // Over the course alone: what was run before is left.
    router.dismissTo(coursePage(id));
    router.push(runPage(id));
  };
  const figures = read ? (
    <WatchFigures course={course} sheet={read.sheet} names={read.names} clock={clock} />
  ) : (
    <Text tint="slate">{error?.message ?? 'Reading its figures …'}</Text>
  );
  return (
    <View
      style={{ flex: 1, flexDirection: wide ? 'row' : 'column', backgroundColor: colours.paper }}
    >
      <View style={{ flex: 1 }}>
        <View style={{ flex: 1, overflow: 'hidden', backgroundColor: colours.sky }}>
          <WatchCanvas {...{ course, film, clock, follows, shapes, pales, line }} />
          <Card
            style={{ flexDirection: 'row', alignItems: 'center', margin: SPACE.s, minHeight: 52 }}
          >
            <IconButton icon="chevron-left" label="Back" onPress={() => leave(id)} />
            <Text as="heading" numberOfLines={1} style={{ flex: 1 }}>
              {shown.name}
            </Text>
            <IconButton
              icon="bookmark"
              label="Keep this moment"
              onPress={() => keep(moment())}
              testID="watch-keep"
            />
            <Button title="Run from here" icon="play" onPress={runFromHere} testID="watch-run" />
          </Card>
        </View>
        {line && <WatchRibbon course={course} line={line} clock={clock} />}
        <View
          style={{ padding: SPACE.s, gap: SPACE.xs, borderTopWidth: 1, borderColor: colours.line }}
        >
          <WatchPanel film={film} clock={clock} marks={marks} />
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s }}>
            <Chip
              role="checkbox"
              label="View is free"
              on={!follows}
              onPress={() => setFollows(!follows)}
            />
            <Chip
              role="checkbox"
              label="Collision shapes"
              on={shapes}
              onPress={() => setShapes(!shapes)}
            />
            {!wide && (
              <Chip
                role="checkbox"
                label="Figures"
                on={unfolded}
                onPress={() => setUnfolded(!unfolded)}
              />
            )}
          </View>
        </View>
      </View>
      {(wide || unfolded) && (
        <ScrollView
          style={
            wide
              ? { width: 400, flexGrow: 0, borderLeftWidth: 1, borderColor: colours.line }
              : { maxHeight: height * 0.36, flexGrow: 0 }
          }
          contentContainerStyle={{ padding: SPACE.l, gap: SPACE.l }}
        >
          {figures}
        </ScrollView>
      )}
    </View>
  );
}

const leave = (id: string) => goBack(timesPage(id));
