import { valibotResolver } from '@hookform/resolvers/valibot';
import { useMemo, useState } from 'react';
import { useForm } from 'react-hook-form';
import * as v from 'valibot';
import {
  KIND_WORDS,
  COURSE_KINDS,
  CourseName,
  MAX_NAME,
  RUNNERS,
  type Course,
  type CourseKind,
  type RunnerKind,
} from '@/core/course';
import { Button, Choices, CoursePicture, FormField, Sheet } from '../parts';
import { PictureChoice } from './PictureChoice';
import { RunnerPicture } from './RunnerPicture';
import { freshName, hasSpace, starterCourse, USUAL_RUNNER, type Purpose } from './starters';
import { RUNNER_ROWS } from '../run/runners';

interface NewSheetProps {
  readonly open: boolean;
  readonly taken: readonly string[];
  readonly busy: boolean;
  readonly onClose: () => void;
  readonly onMake: (course: Course) => void;
}

const NewForm = v.object({ name: CourseName });
const BEGUN: Purpose = { kind: 'point', runner: 'hopper', space: 'side-on' };
const KINDS = COURSE_KINDS.map((value) => ({ value, label: KIND_WORDS[value] }));
const RUNNERS_SHOWN = RUNNERS.map((value) => ({
  value,
  label: RUNNER_ROWS[value].label,
  hint: RUNNER_ROWS[value].hint,
}));

/** A new course: its kind and its runner, each with a picture, and its name; it begins on ground that suits them. */
export function NewSheet({ open, taken, busy, onClose, onMake }: NewSheetProps) {
  const form = useForm({
    resolver: valibotResolver(NewForm),
    mode: 'onChange',
    // A free name is proposed until one is typed.
    values: { name: freshName(taken) },
    resetOptions: { keepDirtyValues: true },
  });
  const [purpose, setPurpose] = useState<Purpose>(BEGUN);
  const grounds = useMemo(
    () =>
      Object.fromEntries(
        COURSE_KINDS.map((kind) => [
          kind,
          starterCourse(KIND_WORDS[kind], { kind, runner: USUAL_RUNNER[kind], space: 'side-on' }),
        ]),
      ) as Record<CourseKind, Course>,
    [],
  );
  return (
    <Sheet
      title="New course"
      open={open}
      onClose={onClose}
      foot={
        <Button
          kind="main"
          title="Begin"
          busy={busy}
          onPress={form.handleSubmit(({ name }) => {
            onMake(starterCourse(name, purpose));
            form.reset();
          })}
          testID="new-begin"
        />
      }
    >
      <PictureChoice
        label="What ends a run"
        value={purpose.kind}
        options={KINDS}
        width={104}
        onChange={(kind) => setPurpose({ ...purpose, kind, runner: USUAL_RUNNER[kind] })}
        picture={(kind) => <CoursePicture course={grounds[kind]} width={112} height={50} />}
      />
      <PictureChoice<RunnerKind>
        label="What runs it"
        value={purpose.runner}
        options={RUNNERS_SHOWN}
        width={72}
        onChange={(runner) => setPurpose({ ...purpose, runner })}
        picture={(runner) => <RunnerPicture kind={runner} size={52} />}
      />
      {hasSpace(purpose) && (
        <Choices
          label="Space"
          value={purpose.space}
          onChange={(space) => setPurpose({ ...purpose, space })}
          options={[
            { value: 'side-on', label: 'Side-on' },
            { value: 'free', label: 'Free-roaming' },
          ]}
        />
      )}
      <FormField
        control={form.control}
        of="name"
        label="Name"
        maxLength={MAX_NAME}
        testID="new-name"
      />
    </Sheet>
  );
}
