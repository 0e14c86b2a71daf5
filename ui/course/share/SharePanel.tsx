import { useState } from 'react';
import { View } from 'react-native';
import { Button, Text, copyText, canHandOver, handOver } from '../../parts';
import { useCourse } from '../../state/courseStore';
import { useCourseOnServer } from '../../state/queries';
import { SPACE } from '../../theme';
import { useCheckOf, useFindings } from '../open/useFindings';
import { useOwnProof } from '../open/useOwnProof';
import { AsSeen } from './AsSeen';
import { Checklist } from './Checklist';
import { CodeAndFile } from './CodeAndFile';
import { Notes } from './Notes';
import { OtherFiles } from './OtherFiles';
import { QrCode } from './QrCode';
import { TakeDown } from './TakeDown';
import { TryAgain } from './TryAgain';
import { usePublish } from './usePublish';

/** One place for all of publishing: what has to be so, what others see, and the link, code and file they open. */
export function SharePanel({ onRun }: { onRun: () => void }) {
  const id = useCourse((s) => s.id);
  const course = useCourse((s) => s.course);
  const { data } = useCourseOnServer(id);
  const errors = useFindings(course).filter(({ weight }) => weight === 'error');
  const published = data?.published;
  const { run, finished, fresh, hash } = useOwnProof(course);
  const current = !!published?.current && published.shown && data?.course.name === course.name;
  // What is down is put back first: to publish it would do so unasked.
  const down = published ? !published.shown : false;
  const link = published && `${window.location.origin}/play/${published.slug}`;
  return (
    <View style={{ gap: SPACE.l }}>
      <Checklist course={course} finished={finished} fresh={fresh} errors={errors} onRun={onRun} />
      {run && !fresh && <TryAgain id={id} run={run} hash={hash} />}
      {fresh && !down && (
        <PublishButton current={current} again={!!link} mayPublish={errors.length === 0} />
      )}
      {!down && link && <PlayLink link={link} name={course.name} />}
      <AsSeen slug={published?.slug} />
      {published && <TakeDown id={id} shown={published.shown} />}
      {published && <Notes id={id} />}
      <CodeAndFile />
      <OtherFiles />
    </View>
  );
}

interface PublishButtonProps {
  /** What is published is the course as it is now. */
  readonly current: boolean;
  /** Something of the course was published before. */
  readonly again: boolean;
  readonly mayPublish: boolean;
}

function PublishButton({ current, again, mayPublish }: PublishButtonProps) {
  const id = useCourse((s) => s.id);
  const checked = useCheckOf(useCourse((s) => s.course)).done;
  const publish = usePublish(id);
  return (
    <Button
      kind={current ? 'plain' : 'main'}
      icon="upload"
      title={current ? 'Published as it is now' : again ? 'Publish the changes' : 'Publish'}
      disabled={current || !mayPublish || !checked}
      busy={publish.isPending}
      onPress={() => publish.mutate()}
      testID="publish"
    />
  );
}

function PlayLink({ link, name }: { link: string; name: string }) {
  const [scanned, setScanned] = useState(false);
  return (
    <View style={{ gap: SPACE.xs }}>
      <Text as="strong">Link</Text>
      <Text as="smallFigures" selectable testID="share-link">
        {link}
      </Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s }}>
        <Button
          title="Copy the link"
          icon="link"
          onPress={() => void copyText(link, 'Link')}
          style={{ flexGrow: 1 }}
        />
        <Button
          title="Show as a code"
          icon="maximize"
          onPress={() => setScanned(true)}
          style={{ flexGrow: 1 }}
          testID="show-qr"
        />
      </View>
      {canHandOver() && (
        <Button
          title="Hand it to another app"
          icon="share-2"
          onPress={() => void handOver({ title: name, url: link })}
          testID="hand-over"
        />
      )}
      <QrCode link={link} name={name} open={scanned} onClose={() => setScanned(false)} />
    </View>
  );
}
