import { router, useIsFocused } from 'expo-router';
import { memo, useCallback, useEffect, useMemo, useState } from 'react';
import { ScrollView, useWindowDimensions, View } from 'react-native';
import { groundBelow } from '@/core/edit';
import { addStart } from '@/core/check';
import {
  Button,
  Fault,
  Loading,
  PHASES,
  Sheet,
  Stones,
  showToast,
  Text,
  type Phase,
} from '../../parts';
import { useView } from '../../scene';
import { useCourse } from '../../state/courseStore';
import { usePanelSnapshot } from '../../state/panelSnapshot';
import { useDebouncedCourse } from '../../state/debouncedCourse';
import { useLastRun } from '../../state/lastRun';
import { useCourseOnServer } from '../../state/queries';
import { useReplay } from '../../state/useBest';
import { useOpenCourse } from '../../state/useOpenCourse';
import { SPACE, useColours, WIDE } from '../../theme';
import { ChoiceActions, ChoiceCard } from '../lay/cards/ChoiceCard';
import { HandCard } from '../lay/cards/HandCard';
import { ChoiceSaid } from './ChoiceSaid';
import { ConflictSheet } from './ConflictSheet';
import { CourseGlance } from './CourseGlance';
import { navigation } from '../commands/list';
import { FlyPad } from '../scene/FlyPad';
import { useGridKept } from './gridKept';
import { FirstHint } from './FirstHint';
import { CourseScene } from '../scene/CourseScene';
import { soundEdits } from './courseSounds';
import { takeTool, useLay } from '../lay/layStore';
import { useOpening } from './opening';
import { useOpen } from './openStore';
import { PlanPanel } from '../plan/PlanPanel';
import { endSketch } from '../plan/sketchView';
import { Ribbon } from './ribbon/Ribbon';
import { SharePanel } from '../share/SharePanel';
import { TopBar } from './TopBar';
import { Sheets } from '../lay/sheets/Sheets';
import { Tray } from '../lay/tray/Tray';
import { TunePanel } from './TunePanel';
import { CourseTuning } from '../tune/course/CourseTuning';
import { Scrubber } from '../tune/motion/Scrubber';
import { ShapeSheet } from '../tune/contact/ShapeSheet';
import { endTuning } from '../tune/tuneStore';
import { Ambience } from '../../music/ambience/Ambience';
import { useBuildKeys } from '../commands/useBuildKeys';
import { useCheckOf, useFindings } from './useFindings';
import { ViewTools } from '../scene/ViewTools';

interface CourseScreenProps {
  readonly id: string;
  readonly phase: string | undefined;
}

const toPhase = (phase: string | undefined): Phase =>
  PHASES.find((known) => known === phase && known !== 'run') ?? 'lay';

/** A course being built. */
export function CourseScreen({ id, phase: wanted }: CourseScreenProps) {
  const { ready, error, retry } = useOpenCourse(id);
  if (error && !ready) {
    return error.status === 404 || error.status === 401 ? (
      <Fault
        title="This course is not here"
        words="It was deleted, or it belongs to somebody else. If it is yours, sign in with your name and passphrase."
        action={{ label: 'My courses', act: () => router.replace('/') }}
      />
    ) : (
      <Fault
        title="The course cannot be opened"
        words={error.message}
        action={{ label: 'Try again', act: retry }}
      />
    );
  }
  if (!ready) return <Loading what="Opening the course" />;
  return <OpenCourse id={id} phase={toPhase(wanted)} />;
}

/** All of the screen; what is heard of the course on the server, as after each save, changes nothing here. */
const OpenCourse = memo(function OpenCourse({ id, phase }: { id: string; phase: Phase }) {
  const colours = useColours();
  const { width, height } = useWindowDimensions();
  const wide = width >= WIDE;
  const take = useCourse((s) => s.take);
  const [missing, setMissing] = useState(false);
  // While a run covers this screen its scene is let go; two at once would be one too many.
  const focused = useIsFocused();

  useOpening(id);
  useGridKept(id);

  const run = useCallback(
    (fromHere = false) => {
      const { course: now } = useCourse.getState();
      if (!now.pieces.some(({ family }) => family === 'start')) {
        setMissing(true);
        return;
      }
      let from = '';
      if (fromHere) {
        const [x, y, z] = useView.getState().target;
        const lane = now.space === 'side-on' ? useLay.getState().depth : z;
        const ground = groundBelow(now, [x, y, lane]);
        if (ground === null) {
          showToast('There is no ground in the middle of the view to run from.');
          return;
        }
        from = `?from=${[x, ground, lane].map((v) => v.toFixed(2)).join(',')}`;
      }
      router.push(`/course/${id}/run${from}` as never);
    },
    [id],
  );
  const goTo = useCallback(
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
  useBuildKeys(focused);
  useEffect(() => soundEdits(), []);
  useEffect(() => {
    navigation.to = goTo;
    navigation.runHere = () => run(true);
    navigation.help = () => router.push('/help');
  }, [goTo, run]);

  const stones = <Progress id={id} phase={phase} onChoose={goTo} />;
  const panel =
    phase === 'plan' ? (
      <PlanPanel />
    ) : phase === 'tune' ? (
      <TunePanel />
    ) : phase === 'share' ? (
      <SharePanel onRun={() => run()} />
    ) : null;
  const building = phase === 'lay' || phase === 'tune';
  const sketching = useLay((s) => s.sketching !== null);
  const work =
    phase === 'plan' && sketching
      ? 'sketch'
      : phase === 'lay'
        ? 'lay'
        : phase === 'tune'
          ? 'tune'
          : 'look';
  const canvas = (
    <View style={{ flex: 1, overflow: 'hidden', backgroundColor: colours.sky }}>
      {focused && <CourseScene work={work} />}
      {focused && <HeardHere />}
      {building && <ChoiceSaid />}
      <View pointerEvents="box-none" style={{ flex: 1 }}>
        <TopBar onBack={() => (router.canGoBack() ? router.back() : router.replace('/'))} />
        <View
          pointerEvents="box-none"
          style={{ flex: 1, alignItems: 'flex-end', paddingHorizontal: SPACE.s }}
        >
          {(building || work === 'sketch') && <ViewTools bare={phase === 'tune' && !wide} />}
        </View>
        <View pointerEvents="box-none" style={{ padding: SPACE.s, gap: SPACE.s }}>
          {building && <Flying />}
          {phase === 'tune' && <Scrubber />}
          {phase === 'lay' && (
            <HandOrChoice onTune={() => goTo('tune')} onRunHere={() => run(true)} />
          )}
        </View>
      </View>
    </View>
  );

  return (
    <View style={{ flex: 1, backgroundColor: colours.paper }}>
      {wide ? (
        <View style={{ flex: 1, flexDirection: 'row' }}>
          <View style={{ width: 300, borderRightWidth: 1, borderColor: colours.line }}>
            {stones}
            {phase === 'lay' ? (
              <Tray wide />
            ) : (
              <Panel>{phase === 'tune' ? <CourseTuning /> : panel}</Panel>
            )}
          </View>
          <View style={{ flex: 1 }}>
            {canvas}
            <Unrolled />
          </View>
          {building && <ChosenSide />}
        </View>
      ) : (
        <>
          <View
            style={
              panel
                ? { height: Math.max(220, height * (work === 'sketch' ? 0.62 : 0.4)) }
                : { flex: 1 }
            }
          >
            {canvas}
          </View>
          {!panel && <Unrolled />}
          {phase === 'lay' && <Tray wide={false} />}
          {panel && <Panel key={work === 'sketch' ? work : phase}>{panel}</Panel>}
          {stones}
        </>
      )}
      <ConflictSheet />
      <Sheets />
      <ShapeSheet />
      <Sheet title="The course has no start" open={missing} onClose={() => setMissing(false)}>
        <Text>
          A run begins at a start. One can be laid on the piece furthest to the left; you can move
          it afterwards.
        </Text>
        <Button
          kind="main"
          title="Lay a start"
          icon="flag"
          onPress={() => {
            useCourse.getState().edit(addStart);
            setMissing(false);
          }}
        />
      </Sheet>
    </View>
  );
});

/** The pad for flying, where it was asked for. */
function Flying() {
  return useLay((s) => s.flying) ? <FlyPad /> : null;
}

/** The phases, with those that are done. */
const Progress = memo(function Progress({
  id,
  phase,
  onChoose,
}: {
  id: string;
  phase: Phase;
  onChoose: (phase: Phase) => void;
}) {
  const told = useDebouncedCourse();
  const { data } = useCourseOnServer(id);
  const proof = useReplay(told, data?.proof?.run);
  // The proof's way serves until there is a newer run, and goes on serving when edits make it stale.
  useEffect(() => {
    if (proof && !useLastRun.getState().way) useLastRun.getState().keep(proof);
  }, [proof]);
  const planned = told.name.trim().length >= 3 && told.pieces.length > 0;
  const checked = useCheckOf(told).known;
  const laid = !useFindings(told).some(({ weight }) => weight === 'error') && checked;
  const proved = proof?.finished === true;
  const shared = data?.published?.current === true;
  return useMemo(() => {
    const done = new Set<Phase>();
    if (planned) done.add('plan');
    if (laid) done.add('lay');
    if (proved) done.add('run');
    if (shared) done.add('share');
    return <Stones current={phase} done={done} onChoose={onChoose} />;
  }, [planned, laid, proved, shared, phase, onChoose]);
});

/** The course along its way. */
const Unrolled = memo(function Unrolled() {
  const told = useDebouncedCourse();
  const way = useLastRun((s) => s.way);
  return <Ribbon course={told} way={way} />;
});

/** The tray's card: the piece in hand, else the chosen one, else a way to run from here. */
function HandOrChoice({ onTune, onRunHere }: { onTune: () => void; onRunHere: () => void }) {
  const inHand = useCourse((s) => s.inHand !== null);
  const chosen = usePanelSnapshot((s) => s.choice.size > 0);
  const tool = useLay((s) => s.tool);
  const { width } = useWindowDimensions();
  const pivoting = useLay((s) => s.pivot !== null);
  if (pivoting) {
    return (
      <Button
        title="Ring about here"
        kind="main"
        icon="check"
        testID="pivot-done"
        onPress={() => useOpen.getState().open('copies')}
      />
    );
  }
  if (inHand) return <HandCard />;
  if (tool !== 'pieces' && !chosen) return null;
  if (chosen && width < WIDE && tool !== 'wall' && tool !== 'outline') {
    return <ChoiceCard onTune={onTune} />;
  }
  return (
    <View
      pointerEvents="box-none"
      style={{
        flexDirection: 'row',
        alignItems: 'flex-end',
        justifyContent: 'flex-end',
        gap: SPACE.s,
      }}
    >
      <FirstHint />
      <Button title="Run from here" icon="play" onPress={onRunHere} testID="run-here" />
    </View>
  );
}

function Panel({ children }: { children: React.ReactNode }) {
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

/** On a wide screen the chosen piece's card stands at the right in Lay and Tune. */
function ChosenSide() {
  const colours = useColours();
  const chosen = usePanelSnapshot((s) => s.choice.size > 0);
  return (
    <View
      style={{
        width: 320,
        borderLeftWidth: 1,
        borderColor: colours.line,
        backgroundColor: colours.card,
      }}
    >
      {chosen ? (
        <>
          <ScrollView contentContainerStyle={{ padding: SPACE.l }}>
            <TunePanel />
          </ScrollView>
          <View style={{ padding: SPACE.xs, borderTopWidth: 1, borderColor: colours.line }}>
            <ChoiceActions />
          </View>
        </>
      ) : (
        <ScrollView>
          <CourseGlance />
        </ScrollView>
      )}
    </View>
  );
}

const lookedAt = () => useView.getState().target;

/** The sound of the course about what is looked at. */
function HeardHere() {
  const course = useDebouncedCourse();
  return <Ambience course={course} listener={lookedAt} />;
}
