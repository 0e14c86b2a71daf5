import { useMutation, useQueryClient } from '@tanstack/react-query';
import { View } from 'react-native';
import { hasPrivate } from '@/core/course';
import { fileNameOf, toCourseFile, toShareCode } from '@/core/formats';
import { Button, Card, CoursePicture, runTime, showToast, Text, saveText } from '../../parts';
import { api } from '../../state/api';
import { useCourse } from '../../state/courseStore';
import { useFirsts } from '../../state/firsts';
import { useHash } from '../../state/useBest';
import { useCourseOnServer } from '../../state/queries';
import { whenSaved } from '../../state/useOpenCourse';
import { SPACE, useColours } from '../../theme';
import { CheckState } from '../screen/FindingsSheet';
import { useCheckOf, useFindings } from '../screen/useFindings';

/** Copies text, and says so. */
export async function copyText(text: string, what: string): Promise<void> {
  try {
    await navigator.clipboard.writeText(text);
    showToast(`${what} copied.`);
  } catch {
    showToast(
      `This browser does not allow copying. The ${what.toLowerCase()} is shown to be marked by hand.`,
    );
  }
}

/** Proof, publishing, and the link, code and file that others open. */
export function SharePanel({ onRun }: { onRun: () => void }) {
  const colours = useColours();
  const client = useQueryClient();
  const id = useCourse((s) => s.id);
  const course = useCourse((s) => s.course);
  const { data } = useCourseOnServer(id);
  const hash = useHash(course);
  const proof = data?.proof;
  const fresh = proof?.run.course === hash;
  const errors = useFindings(course).filter(({ weight }) => weight === 'error');
  const checked = useCheckOf(course).done;
  const link = data?.published && `${window.location.origin}/play/${data.published.slug}`;

  const publish = useMutation({
    mutationFn: async () => {
      if (!(await whenSaved()))
        throw new Error(
          'The course is not on the server yet. It is kept here; try again when it is saved.',
        );
      return api.publish(id);
    },
    onSuccess: () => {
      useFirsts.getState().note('share');
      showToast('Published. Anyone with the link can run it.');
      void client.invalidateQueries({ queryKey: ['course', id] });
      void client.invalidateQueries({ queryKey: ['courses'] });
    },
    onError: (error) => showToast(error.message),
  });
  const current = data?.published?.current && data.course.name === course.name;

  return (
    <View style={{ gap: SPACE.l }}>
      <Card style={{ overflow: 'hidden', backgroundColor: colours.shallows }}>
        <CoursePicture course={course} width={420} height={150} />
      </Card>
      <View style={{ gap: SPACE.xs }}>
        <Text as="strong">Proof</Text>
        {fresh ? (
          <Text testID="proof-state">
            Finished by you in <Text as="figures">{runTime(proof.time)}</Text>, start to goal,
            without help.
          </Text>
        ) : (
          <Text testID="proof-state" tint={proof ? 'rust' : 'slate'}>
            {proof
              ? 'The course has changed since you finished it. Run it once more, start to goal.'
              : 'Before you publish, finish the course yourself, start to goal.'}
          </Text>
        )}
        <CheckState />
        {errors.map(({ message }) => (
          <Text key={message} tint="rust">
            {message}
          </Text>
        ))}
        {!fresh && (
          <Button
            kind="main"
            title="Run it"
            icon="play"
            onPress={onRun}
            disabled={errors.some(
              ({ rule }) => rule !== 'start' && rule !== 'goal' && rule !== 'name',
            )}
          />
        )}
      </View>
      {fresh && (
        <Button
          kind={current ? 'plain' : 'main'}
          icon="upload"
          title={link ? (current ? 'Published as it is now' : 'Publish the changes') : 'Publish'}
          disabled={!!current || errors.length > 0 || !checked}
          busy={publish.isPending}
          onPress={() => publish.mutate()}
          testID="publish"
        />
      )}
      {link && (
        <View style={{ gap: SPACE.xs }}>
          <Text as="strong">Link</Text>
          <Text as="smallFigures" selectable testID="share-link">
            {link}
          </Text>
          <Button title="Copy the link" icon="link" onPress={() => void copyText(link, 'Link')} />
        </View>
      )}
      <View style={{ gap: SPACE.s }}>
        <Text as="strong">Code and file</Text>
        <Text as="small" tint="slate">
          The whole course as text to paste into a chat, or as a file. Both open under My courses.
        </Text>
        <Button
          title="Copy the code"
          icon="copy"
          onPress={() => void copyText(toShareCode(course), 'Code')}
          testID="copy-code"
        />
        <Button
          title="Save the file"
          icon="download"
          onPress={() => saveText(fileNameOf(course), toCourseFile(course))}
          testID="save-file"
        />
        {hasPrivate(course) && (
          <>
            <Text as="small" tint="slate">
              Your notes and what lies under the sketch are for you alone: neither link, code nor
              file has them.
            </Text>
            <Button
              title="Save a file with my notes"
              icon="lock"
              onPress={() => saveText(fileNameOf(course), toCourseFile(course, true))}
              testID="save-whole-file"
            />
          </>
        )}
      </View>
    </View>
  );
}
