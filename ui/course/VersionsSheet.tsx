import { useQuery } from '@tanstack/react-query';
import { Pressable } from 'react-native';
import { ago, Fault, Loading, Sheet, tell, Words } from '../parts';
import { api } from '../state/api';
import { useCourse } from '../state/courseStore';
import { SPACE, TARGET, useColours } from '../theme';

/** Earlier versions of the open course; going back to one is an edit like any other. */
export function VersionsSheet({ open, onClose }: { open: boolean; onClose: () => void }) {
  const colours = useColours();
  const { id, revision, edit, undo } = useCourse();
  const list = useQuery({
    queryKey: ['revisions', id, revision],
    queryFn: async () => (await api.revisions(id)).revisions,
    enabled: open,
  });
  const goBack = async (to: number) => {
    try {
      const { course } = await api.revision(id, to);
      edit(() => course);
      tell('Back at the earlier version.', { label: 'Undo', act: undo });
      onClose();
    } catch (error) {
      tell((error as Error).message);
    }
  };
  return (
    <Sheet title="Earlier versions" open={open} onClose={onClose}>
      {list.isPending && <Loading what="Looking for earlier versions" />}
      {list.isError && (
        <Fault
          title="They cannot be listed"
          words={list.error.message}
          action={{ label: 'Try again', act: () => void list.refetch() }}
        />
      )}
      {list.data?.map((version) => (
        <Pressable
          key={version.revision}
          accessibilityRole="button"
          accessibilityLabel={`Go back to version ${version.revision}`}
          disabled={version.revision === revision}
          onPress={() => void goBack(version.revision)}
          style={{
            flexDirection: 'row',
            alignItems: 'center',
            minHeight: TARGET + 4,
            borderTopWidth: 1,
            borderColor: colours.line,
            gap: SPACE.m,
          }}
        >
          <Words as="figures" tint="slate" style={{ width: 44 }}>
            {version.revision}
          </Words>
          <Words style={{ flex: 1 }}>
            {version.revision === revision ? 'As it is now' : ago(version.saved)}
          </Words>
          <Words as="small" tint="slate">
            {version.pieces} pieces
          </Words>
        </Pressable>
      ))}
    </Sheet>
  );
}
