import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { View } from 'react-native';
import {
  ago,
  Button,
  Fault,
  Field,
  IconButton,
  Loading,
  ListItem,
  Sheet,
  showToast,
  Text,
} from '../../parts';
import { api } from '../../state/api';
import { useCourse } from '../../state/courseStore';
import { whenSaved } from '../../state/useOpenCourse';
import { SPACE } from '../../theme';

interface Version {
  readonly revision: number;
  readonly saved: number;
  readonly pieces: number;
  readonly label: string | null;
}

/** Earlier versions of the open course; going back to one makes a new version of it. */
export function VersionsSheet({ open, onClose }: { open: boolean; onClose: () => void }) {
  const id = useCourse((s) => s.id);
  const revision = useCourse((s) => s.revision);
  const [naming, setNaming] = useState<number | null>(null);
  const { replace, undo } = useCourse.getState();
  const list = useQuery({
    queryKey: ['versions', id, revision],
    queryFn: async () => (await api.versions(id)).versions,
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
      // Only as long as it is what was done last.
      const after = useCourse.getState().past;
      const act = () => {
        if (useCourse.getState().past === after) undo();
        else showToast('The course has changed since; the version before is in the list.');
      };
      showToast('Back at the earlier version.', { label: 'Undo', act });
      onClose();
    },
    onError: (error) => showToast(error.message),
  });
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
          <Naming key={version.revision} id={id} version={version} onDone={() => setNaming(null)} />
        ) : (
          <View key={version.revision} style={{ flexDirection: 'row', alignItems: 'center' }}>
            <View style={{ flex: 1, minWidth: 0 }}>
              <ListItem
                testID={`version-${version.revision}`}
                disabled={version.revision === revision || goBack.isPending}
                onPress={() => goBack.mutate(version.revision)}
              >
                <Text as="figures" tint="slate" style={{ width: 44 }}>
                  {version.revision}
                </Text>
                <View style={{ flex: 1, minWidth: 0 }}>
                  <Text as={version.label ? 'strong' : 'text'} numberOfLines={1}>
                    {version.label ??
                      (version.revision === revision ? 'As it is now' : ago(version.saved))}
                  </Text>
                  {version.label && (
                    <Text as="small" tint="slate">
                      {version.revision === revision ? 'as it is now' : ago(version.saved)}
                    </Text>
                  )}
                </View>
                <Text as="small" tint="slate">
                  {version.pieces} {version.pieces === 1 ? 'piece' : 'pieces'}
                </Text>
              </ListItem>
            </View>
            <IconButton
              icon="edit-2"
              label={`Name version ${version.revision}`}
              onPress={() => setNaming(version.revision)}
            />
          </View>
        ),
      )}
    </Sheet>
  );
}

function Naming({
  id,
  version,
  onDone,
}: {
  readonly id: string;
  readonly version: Version;
  readonly onDone: () => void;
}) {
  const client = useQueryClient();
  const [label, setLabel] = useState(version.label ?? '');
  const name = useMutation({
    mutationFn: () => api.nameVersion(id, version.revision, label.trim() || null),
    onSuccess: () => {
      void client.invalidateQueries({ queryKey: ['versions', id] });
      onDone();
    },
    onError: (error) => showToast(error.message),
  });
  return (
    <View style={{ gap: SPACE.s, paddingVertical: SPACE.s }}>
      <Field
        label={`Name of version ${version.revision}`}
        value={label}
        maxLength={60}
        onChangeText={setLabel}
        testID="version-name"
      />
      <View style={{ flexDirection: 'row', gap: SPACE.s }}>
        <Button title="Leave it" onPress={onDone} style={{ flex: 1 }} />
        <Button
          kind="main"
          title="Name it"
          busy={name.isPending}
          onPress={() => name.mutate()}
          style={{ flex: 1 }}
          testID="version-name-it"
        />
      </View>
    </View>
  );
}
