import { router, useIsFocused } from 'expo-router';
import { memo, useCallback, useEffect, useMemo, type ReactNode } from 'react';
import { ScrollView, useWindowDimensions, View } from 'react-native';
import type { Phase } from '../../parts';
import { useCourse } from '../../state/courseStore';
import { useDebouncedCourse } from '../../state/debouncedCourse';
import { useLastRun } from '../../state/lastRun';
import { SPACE, useColours, WIDE } from '../../theme';
import { NavigationProvider, type Navigation } from '../commands/navigation';
import { useBuildKeys } from '../commands/useBuildKeys';
import { useClipboard } from '../commands/useClipboard';
import { takeTool, useLay } from '../open/laying';
import { Sheets } from '../lay/sheets/Sheets';
import { Tray } from '../lay/tray/Tray';
import { PlanPanel } from '../plan/PlanPanel';
import { endSketch } from '../plan/sketchView';
import { SharePanel } from '../share/SharePanel';
import { ShapeSheet } from '../tune/contact/ShapeSheet';
import { CourseTuning } from '../tune/course/CourseTuning';
import { endTuning } from '../open/tuneStore';
import { VersionsSheet } from '../versions/VersionsSheet';
import { BuildCanvas } from './BuildCanvas';
import { ChosenSide } from './ChosenSide';
import { ConflictSheet } from './ConflictSheet';
import { soundEdits } from './courseSounds';
import { useGridKept } from '../open/gridKept';
import { NoStartSheet } from '../run/NoStartSheet';
import { useOpening } from '../open/opening';
import { Progress } from './Progress';
import { Ribbon } from './ribbon/Ribbon';
import { useWaysAsked } from '../open/way/useWaysAsked';
import { TunePanel } from './TunePanel';
import { useRun } from '../run/useRun';
import { workOf, type Work } from '../open/work';
import { timesPage, HELP_PAGE } from '../../device/routes';

/** All of the screen; what is heard of the course on the server, as after each save, changes nothing here. */
export const OpenCourse = memo(function OpenCourse({ id, phase }: { id: string; phase: Phase }) {
  const colours = useColours();
  const wide = useWindowDimensions().width >= WIDE;
  const focused = useIsFocused();
  const { run, runHere, missing, dismiss } = useRun(id);
  const goTo = useGoTo(run);
  const navigation = useMemo<Navigation>(
    () => ({
      to: goTo,
      runHere,
      help: () => router.push(HELP_PAGE),
      times: () => router.push(timesPage(id)),
    }),
    [goTo, runHere, id],
  );
  useOpening(id);
  useGridKept(id);
  useWaysAsked(id);
  useBuildKeys(focused, navigation);
  useClipboard(focused);
  useEffect(() => soundEdits(), []);
  const work = workOf(
    phase,
    useLay((s) => s.sketching !== null),
  );
  const Layout = wide ? WideLayout : PhoneLayout;
  return (
    <NavigationProvider value={navigation}>
      <View style={{ flex: 1, backgroundColor: colours.paper }}>
        <Layout
          phase={phase}
          work={work}
          stones={<Progress id={id} phase={phase} onChoose={goTo} />}
          canvas={
            <BuildCanvas
              phase={phase}
              work={work}
              focused={focused}
              onTune={() => goTo('tune')}
              onRunHere={runHere}
            />
          }
          onRun={run}
        />
        <ConflictSheet />
        <Sheets />
        <ShapeSheet />
        {phase === 'plan' && <VersionsSheet />}
        <NoStartSheet open={missing} onClose={dismiss} />
      </View>
    </NavigationProvider>
  );
});

/** Goes from phase to phase; what belongs to the one before is put down. */
function useGoTo(run: () => void) {
  const take = useCourse((s) => s.take);
  return useCallback(
    (next: Phase) => {
      if (next === 'run') return run();
      if (next !== 'lay') take(null);
      endTuning();
      takeTool(next === 'lay' ? useLay.getState().tool : 'pieces');
      endSketch();
      router.setParams({ phase: next });
    },
    [run, take],
  );
}

interface LayoutProps {
  readonly phase: Phase;
  readonly work: Work;
  readonly stones: ReactNode;
  readonly canvas: ReactNode;
  readonly onRun: () => void;
}

/** Work at the left, the scene, and at the right what is chosen. */
function WideLayout({ phase, stones, canvas, onRun }: LayoutProps) {
  const colours = useColours();
  return (
    <View style={{ flex: 1, flexDirection: 'row' }}>
      <View style={{ width: 300, borderRightWidth: 1, borderColor: colours.line }}>
        {stones}
        {phase === 'lay' ? (
          <Tray wide />
        ) : (
          <Panel>{phase === 'tune' ? <CourseTuning /> : panelOf(phase, onRun)}</Panel>
        )}
      </View>
      <View style={{ flex: 1 }}>
        {canvas}
        <Unrolled />
      </View>
      {(phase === 'lay' || phase === 'tune') && <ChosenSide />}
    </View>
  );
}

/** The scene above, work below it, the phases at the foot. */
function PhoneLayout({ phase, work, stones, canvas, onRun }: LayoutProps) {
  const { height } = useWindowDimensions();
  const panel = panelOf(phase, onRun);
  const part = work === 'sketch' ? 0.62 : 0.4;
  return (
    <>
      <View style={panel ? { height: Math.max(220, height * part) } : { flex: 1 }}>{canvas}</View>
      {!panel && <Unrolled />}
      {phase === 'lay' && <Tray wide={false} />}
      {panel && <Panel key={work === 'sketch' ? work : phase}>{panel}</Panel>}
      {stones}
    </>
  );
}

function panelOf(phase: Phase, onRun: () => void): ReactNode {
  if (phase === 'plan') return <PlanPanel />;
  if (phase === 'tune') return <TunePanel />;
  if (phase === 'share') return <SharePanel onRun={onRun} />;
  return null;
}

function Panel({ children }: { children: ReactNode }) {
  const colours = useColours();
  return (
    <ScrollView
      style={{
        flex: 1,
        borderTopWidth: 1,
        borderColor: colours.line,
        backgroundColor: colours.paper,
      }}
      contentContainerStyle={{ padding: SPACE.l }}
      keyboardShouldPersistTaps="handled"
    >
      {children}
    </ScrollView>
  );
}

/** The course along its way. */
const Unrolled = memo(function Unrolled() {
  const told = useDebouncedCourse();
  const way = useLastRun((s) => s.way);
  return <Ribbon course={told} way={way} />;
});
