import { useQuery } from '@tanstack/react-query';
import { ago, Fault, Loading, Row, Sheet, tell, Words } from '../parts';
import { api } from '../state/api';
import { useCourse } from '../state/courseStore';

/** Earlier versions of the open course; going back to one is an edit like any other. */
export function VersionsSheet({ open, onClose }: { open: boolean; onClose: () => void }) {
  const id = useCourse((s) => s.id);
  const revision = useCourse((s) => s.revision);
  const { edit, undo } = useCourse.getState();
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
        <Row
          key={version.revision}
          label={`Go back to version ${version.revision}`}
          disabled={version.revision === revision}
          onPress={() => void goBack(version.revision)}
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
        </Row>
      ))}
    </Sheet>
  );
}
