import { View } from 'react-native';
import { Button, Card, CoursePicture, Text } from '../../parts';
import { useCourse } from '../../state/courseStore';
import { useCourseOnServer } from '../../state/queries';
import { useHash } from '../../state/useBest';
import { SPACE, useColours } from '../../theme';
import { useCheckOf, useFindings } from '../screen/useFindings';
import { CodeAndFile } from './CodeAndFile';
import { copyText } from './copyText';
import { Proof } from './Proof';
import { TakeDown } from './TakeDown';
import { usePublish } from './usePublish';

/** Proof, publishing, and the link, code and file that others open. */
export function SharePanel({ onRun }: { onRun: () => void }) {
  const colours = useColours();
  const id = useCourse((s) => s.id);
  const course = useCourse((s) => s.course);
  const { data } = useCourseOnServer(id);
  const hash = useHash(course);
  const errors = useFindings(course).filter(({ weight }) => weight === 'error');
  const checked = useCheckOf(course).done;
  const publish = usePublish(id);
  const published = data?.published;
  const fresh = data?.proof?.run.course === hash;
  const current = !!published?.current && published.shown && data?.course.name === course.name;
  const link = published && `${window.location.origin}/play/${published.slug}`;
  return (
    <View style={{ gap: SPACE.l }}>
      <Card style={{ overflow: 'hidden', backgroundColor: colours.shallows }}>
        <CoursePicture course={course} width={420} height={150} />
      </Card>
      <Proof time={data?.proof?.time} fresh={fresh} errors={errors} onRun={onRun} />
      {fresh && (
        <Button
          kind={current ? 'plain' : 'main'}
          icon="upload"
          title={current ? 'Published as it is now' : link ? 'Publish the changes' : 'Publish'}
          disabled={current || errors.length > 0 || !checked}
          busy={publish.isPending}
          onPress={() => publish.mutate()}
          testID="publish"
        />
      )}
      {published?.shown && link && <PlayLink link={link} />}
      {published && <TakeDown id={id} shown={published.shown} />}
      <CodeAndFile />
    </View>
  );
}

function PlayLink({ link }: { link: string }) {
  return (
    <View style={{ gap: SPACE.xs }}>
      <Text as="strong">Link</Text>
      <Text as="smallFigures" selectable testID="share-link">
        {link}
      </Text>
      <Button title="Copy the link" icon="link" onPress={() => void copyText(link, 'Link')} />
    </View>
  );
}
