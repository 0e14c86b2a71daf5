import { View } from 'react-native';
import { KIND_WORDS } from '@/core/course';
import { Card, CoursePicture, Difficulty, Field, Text, Toggle } from '../../parts';
import { RUNNER_ROWS } from '../../run/runners';
import { usePublished } from '../../state/queries';
import { useEditing } from '../../state/panelSnapshot';
import { SPACE, useColours } from '../../theme';
import { Expected } from '../parts/Expected';
import { NameField } from '../parts/NameField';
import { PictureOptions } from './PictureOptions';

/** What others will see of the course, filled in in its place. */
export function AsSeen({ slug }: { readonly slug: string | undefined }) {
  const colours = useColours();
  const { course, edit } = useEditing();
  return (
    <View style={{ gap: SPACE.m }}>
      <Text as="strong">What others see</Text>
      <View testID="course-picture">
        <Card style={{ overflow: 'hidden', backgroundColor: colours.shallows }}>
          <CoursePicture course={course} width={420} height={150} />
        </Card>
      </View>
      <PictureOptions />
      <NameField />
      <Field
        label="Welcome line"
        value={course.welcome ?? ''}
        maxLength={200}
        placeholder="What players read before they run"
        onChangeText={(welcome) =>
          edit((before) => ({ ...before, welcome: welcome || undefined }), 'welcome')
        }
        testID="course-welcome"
      />
      <Field
        label="Description"
        multiline
        value={course.description ?? ''}
        maxLength={1000}
        placeholder="What it is found by, beside its name"
        onChangeText={(description) =>
          edit((before) => ({ ...before, description: description || undefined }), 'description')
        }
        testID="course-description"
      />
      <View style={{ gap: SPACE.xs }}>
        <Text>
          {KIND_WORDS[course.kind]} · {RUNNER_ROWS[course.runner.kind].label}
        </Text>
        <Expected />
        {slug && <HowHardItIs slug={slug} />}
      </View>
      <View>
        <Toggle
          label="Others may take it apart"
          value={course.mayCopy !== false}
          onChange={(may) =>
            edit((before) => ({ ...before, mayCopy: may ? undefined : false }), 'may copy')
          }
        />
        <Text as="small" tint="slate">
          {course.mayCopy === false
            ? 'It can be run, not opened as a copy.'
            : 'Anyone may open a copy and go on with it; the copy says where it came from.'}
        </Text>
      </View>
    </View>
  );
}

/** How hard the published course is, as the server has read it off the proof. */
function HowHardItIs({ slug }: { readonly slug: string }) {
  const { data } = usePublished(slug);
  if (!data || data.difficulty === null) return null;
  return <Difficulty value={data.difficulty} />;
}
