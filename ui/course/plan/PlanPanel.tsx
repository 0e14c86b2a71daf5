import { router } from 'expo-router';
import { View } from 'react-native';
import { KIND_WORDS, type Course, type CourseKind, type CourseSpace } from '@/core/course';
import { setKind } from '@/core/edit';
import { DEFAULT_HOLD, DEFAULT_LAPS } from '@/core/run';
import { Button, Choices, Field, NumberField, Origins, Text } from '../../parts';
import { useCourse } from '../../state/courseStore';
import { useEditing } from '../../state/panelSnapshot';
import { Expected } from '../parts/Expected';
import { NameField } from '../parts/NameField';
import { SPACE } from '../../theme';
import { useLay } from '../open/laying';
import { reshape } from '../open/reshape';
import { RunnerOptions } from './RunnerOptions';
import { SketchPanel } from './SketchPanel';
import { Legs } from '../parts/Legs';
import { Targets } from './Targets';
import { within } from './within';
import { useVersions } from '../open/versionsStore';
import { timesPage, playPage } from '../../device/routes';

const KINDS = (Object.keys(KIND_WORDS) as CourseKind[]).map((value) => ({
  value,
  label: KIND_WORDS[value],
}));
const SPACES: readonly { value: CourseSpace; label: string }[] = [
  { value: 'side-on', label: 'Side-on' },
  { value: 'free', label: 'Free-roaming' },
];
/** What the course is before it is built: name, kind, runner, notes, targets. */
export function PlanPanel() {
  const { course } = useEditing();
  const id = useCourse((s) => s.id);
  const sketching = useLay((s) => s.sketching !== null);
  const set = useSet();
  // What is drawn over the course and what is said of it belong together: the rest steps back.
  if (sketching) return <SketchPanel />;
  return (
    <View style={{ gap: SPACE.l }}>
      <NameField />
      <Choices
        label="Kind"
        value={course.kind}
        options={KINDS}
        onChange={(kind) => reshape((before) => setKind(before, kind))}
      />
      <Text as="small" tint="slate">
        {KIND_RULES[course.kind]}
      </Text>
      <KindFigure />
      <Choices
        label="Space"
        value={course.space}
        options={SPACES}
        onChange={(space) => reshape((before) => ({ ...before, space }))}
      />
      <Expected />
      <SketchPanel />
      <RunnerOptions />
      {course.kind === 'strokes' ? <Legs /> : <Targets />}
      <Field
        label="Notes"
        multiline
        value={course.notes ?? ''}
        maxLength={4000}
        placeholder="For you alone"
        onChangeText={(notes) => set({ notes: notes || undefined }, 'notes')}
      />
      {course.origins && (
        <Origins origins={course.origins} onOpen={(slug) => router.push(playPage(slug))} />
      )}
      <Button
        title="Times of my runs"
        icon="bar-chart-2"
        onPress={() => router.push(timesPage(id))}
        testID="plan-times"
      />
      <Button
        title="Earlier versions"
        icon="clock"
        onPress={() => useVersions.getState().set({ open: true })}
      />
    </View>
  );
}

/** Sets parts of the course itself. */
function useSet() {
  const { edit } = useEditing();
  return (change: Partial<Course>, merge?: string) =>
    edit((before) => ({ ...before, ...change }), merge);
}

/** What the kind of course asks: how many rounds, or how long it is held. */
function KindFigure() {
  const { course } = useEditing();
  const set = useSet();
  return (
    <>
      {course.kind === 'laps' && (
        <NumberField
          label="Rounds"
          unit=""
          step={1}
          value={course.laps ?? DEFAULT_LAPS}
          onChange={(value) =>
            set({ laps: Math.round(within('Rounds', value, 1, 99, '')) }, 'laps')
          }
        />
      )}
      {course.kind === 'hold' && (
        <NumberField
          label="Held for"
          unit="s"
          step={1}
          value={course.hold ?? DEFAULT_HOLD}
          onChange={(value) => set({ hold: within('Held for', value, 0.5, 600, 's') }, 'hold')}
        />
      )}
    </>
  );
}

const KIND_RULES: Record<CourseKind, string> = {
  point: 'The run ends when the lantern is touched.',
  laps: 'Each round counts once every cairn was passed; the last one ends the run at the lantern.',
  gather: 'The lantern counts once every shell is gathered.',
  hold: 'The run ends after so long within reach of the lantern.',
  strokes: 'The run ends at the lantern; the fewest strokes win, and of as many the shortest time.',
};
