import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import { ScrollView, useWindowDimensions, View } from 'react-native';
import type { Course } from '@/core/course';
import { TICKS_PER_SECOND } from '@/core/motion';
import type { Film } from '@/core/run';
import type { RunSheet } from '@/core/timing';
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
  const marks = useMemo(() => marksOf(read?.sheet), [read]);
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
          <WatchBar
            title={shown.name}
            onBack={() => leave(id)}
            onKeep={() => keep(moment())}
            onRun={runFromHere}
          />
        </View>
        {line && <WatchRibbon course={course} line={line} clock={clock} />}
        <View
          style={{ padding: SPACE.s, gap: SPACE.xs, borderTopWidth: 1, borderColor: colours.line }}
        >
          <WatchPanel film={film} clock={clock} marks={marks} />
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s }}>
            <Switch label="View is free" on={!follows} onSwitch={(free) => setFollows(!free)} />
            <Switch label="Collision shapes" on={shapes} onSwitch={setShapes} />
            {!wide && <Switch label="Figures" on={unfolded} onSwitch={setUnfolded} />}
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

/** Where checkpoints were passed and where something went wrong, for the line of time. */
const marksOf = ({ parts = [], mishaps = [] }: Partial<RunSheet> = {}): WatchMark[] => [
  ...parts.map(({ at }) => ({ tick: at * TICKS_PER_SECOND, kind: 'mark' as const })),
  ...mishaps.map(({ tick }) => ({ tick, kind: 'mishap' as const })),
];

interface WatchBarProps {
  readonly title: string;
  readonly onBack: () => void;
  /** Keeps the moment that is shown. */
  readonly onKeep: () => void;
  /** Runs on from the moment that is shown. */
  readonly onRun: () => void;
}

/** The bar over the scene of a run that is watched. */
function WatchBar({ title, onBack, onKeep, onRun }: WatchBarProps) {
  return (
    <Card style={{ flexDirection: 'row', alignItems: 'center', margin: SPACE.s, minHeight: 52 }}>
      <IconButton icon="chevron-left" label="Back" onPress={onBack} />
      <Text as="heading" numberOfLines={1} style={{ flex: 1 }}>
        {title}
      </Text>
      <IconButton icon="bookmark" label="Keep this moment" onPress={onKeep} testID="watch-keep" />
      <Button title="Run from here" icon="play" onPress={onRun} testID="watch-run" />
    </Card>
  );
}

interface SwitchProps {
  readonly label: string;
  readonly on: boolean;
  readonly onSwitch: (on: boolean) => void;
}

const Switch = ({ label, on, onSwitch }: SwitchProps) => (
  <Chip role="checkbox" label={label} on={on} onPress={() => onSwitch(!on)} />
);

const leave = (id: string) => goBack(timesPage(id));
