import { useMutation, useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { ago, Fault, IconButton, Loading, ListItem, Sheet, showToast, Text } from '../../parts';
import { api } from '../../state/api';
import { useCourse } from '../../state/courseStore';
import { whenSaved } from '../../state/useOpenCourse';
import { VersionCompare } from './VersionCompare';
import { VersionName, type Version } from './VersionName';
import { useVersions } from '../open/versionsStore';
import { KEYS } from '../../state/keys';
import { noticeWithUndo } from '../open/undoNotice';

/** Earlier versions of the open course; going back to one makes a new version of it. */
export function VersionsSheet() {
  const id = useCourse((s) => s.id);
  const revision = useCourse((s) => s.revision);
  const [naming, setNaming] = useState<number | null>(null);
  const { open, comparing, set } = useVersions();
  const setComparing = (to: number | null) => set({ comparing: to });
  const onClose = () => set({ open: false });
  // With the panel it is in it goes; it does not wait for the next course.
  useEffect(() => () => set({ open: false, comparing: null }), [set]);
  const { replace } = useCourse.getState();
  const list = useQuery({
    queryKey: KEYS.versions(id, revision),
    queryFn: async ({ signal }) => (await api.versions(id, signal)).versions,
    enabled: open,
  });
  const goBack = useMutation({
    mutationFn: async (to: number) => {
      // What is here now is a version itself, to come forward to again.
      await whenSaved();
      return (await api.version(id, to)).course;
    },
    onSuccess: (course) => {
      replace(course);
      noticeWithUndo('Back at the earlier version.');
      onClose();
    },
    onError: (error) => showToast(error.message),
  });
  if (comparing !== null) {
    const back = () => setComparing(null);
    const close = () => {
      back();
      onClose();
    };
    return (
      <Sheet title={`Since version ${comparing}`} open={open} onClose={close}>
        <VersionCompare id={id} revision={comparing} onBack={back} onDone={close} />
      </Sheet>
    );
  }
  return (
    <Sheet title="Earlier versions" open={open} onClose={onClose}>
      <Text as="small" tint="slate">
        All of the last hour, then fewer the older they are. Those with a name stay for good.
      </Text>
      {list.isPending && <Loading what="Looking for earlier versions" />}
      {list.isError && (
        <Fault
          title="They cannot be listed"
          words={list.error.message}
          action={{ label: 'Try again', act: () => void list.refetch() }}
        />
      )}
      {list.data?.map((version) =>
        naming === version.revision ? (
          <VersionName
            key={version.revision}
            id={id}
            version={version}
            onDone={() => setNaming(null)}
          />
        ) : (
          <VersionRow
            key={version.revision}
            version={version}
            now={version.revision === revision}
            busy={goBack.isPending}
            onGoBack={() => goBack.mutate(version.revision)}
            onName={() => setNaming(version.revision)}
            onCompare={() => setComparing(version.revision)}
          />
        ),
      )}
    </Sheet>
  );
}

interface RowProps {
  readonly version: Version;
  /** It is the course as it is. */
  readonly now: boolean;
  readonly busy: boolean;
  readonly onGoBack: () => void;
  readonly onName: () => void;
  readonly onCompare: () => void;
}

function VersionRow({ version, now, busy, onGoBack, onName, onCompare }: RowProps) {
  const { revision, label, saved, pieces } = version;
  return (
    <View style={{ flexDirection: 'row', alignItems: 'center' }}>
      <View style={{ flex: 1, minWidth: 0 }}>
        <ListItem testID={`version-${revision}`} disabled={now || busy} onPress={onGoBack}>
          <Text as="figures" tint="slate" style={{ width: 44 }}>
            {revision}
          </Text>
          <View style={{ flex: 1, minWidth: 0 }}>
            <Text as={label ? 'strong' : 'text'} numberOfLines={1}>
              {label ?? (now ? 'As it is now' : ago(saved))}
            </Text>
            {label && (
              <Text as="small" tint="slate">
                {now ? 'as it is now' : ago(saved)}
              </Text>
            )}
          </View>
          <Text as="small" tint="slate">
            {pieces} {pieces === 1 ? 'piece' : 'pieces'}
          </Text>
        </ListItem>
      </View>
      {!now && (
        <IconButton icon="columns" label={`Compare with version ${revision}`} onPress={onCompare} />
      )}
      <IconButton icon="edit-2" label={`Name version ${revision}`} onPress={onName} />
    </View>
  );
}
