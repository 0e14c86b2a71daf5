import { useInfiniteQuery, useMutation, useQueryClient } from '@tanstack/react-query';
import { View } from 'react-native';
import type { NoteToMaker } from '@/core/protocol';
import { ago, Button, Card, showToast, Text } from '../../parts';
import { api } from '../../state/api';
import { SPACE } from '../../theme';
import { KEYS } from '../../state/keys';

/** What players wrote to the maker about this course: read, removed, reported. */
export function Notes({ id }: { readonly id: string }) {
  const { data, error, hasNextPage, fetchNextPage, isFetchingNextPage } = useInfiniteQuery({
    queryKey: KEYS.notes(id),
    queryFn: ({ pageParam, signal }) => api.notes(id, pageParam, signal),
    initialPageParam: null as number | null,
    getNextPageParam: ({ next }) => next,
  });
  const notes = data?.pages.flatMap((page) => page.notes);
  return (
    <View style={{ gap: SPACE.s }} testID="notes">
      <Text as="strong">Notes to you</Text>
      {error && <Text tint="rust">{error.message}</Text>}
      {notes?.length === 0 && (
        <Text as="small" tint="slate">
          Nobody has written yet. Players can, on the course’s page.
        </Text>
      )}
      {notes?.map((note) => (
        <Note key={note.id} course={id} note={note} />
      ))}
      {hasNextPage && (
        <Button
          title="Older notes"
          busy={isFetchingNextPage}
          onPress={() => void fetchNextPage()}
        />
      )}
    </View>
  );
}

function Note({ course, note }: { readonly course: string; readonly note: NoteToMaker }) {
  const client = useQueryClient();
  const key = ['notes', course];
  const done = () => client.invalidateQueries({ queryKey: key });
  const onError = (error: Error) => showToast(error.message);
  const report = useMutation({
    mutationFn: () => api.reportNote(course, note.id),
    onSuccess: done,
    onError,
  });
  const remove = useMutation({
    mutationFn: () => api.removeNote(course, note.id),
    onSuccess: done,
    onError,
  });
  const block = useMutation({
    mutationFn: () => api.blockNote(course, note.id, !note.blocked),
    onSuccess: done,
    onError,
  });
  return (
    <Card style={{ padding: SPACE.m, gap: SPACE.s }}>
      <Text as="small" tint="slate">
        {note.by} · {ago(note.made)}
      </Text>
      <Text>{note.words}</Text>
      <View style={{ flexDirection: 'row', gap: SPACE.s }}>
        <Button
          title="Remove"
          label={`Remove the note of ${note.by}`}
          busy={remove.isPending}
          onPress={() => remove.mutate()}
          style={{ flex: 1 }}
        />
        <Button
          title={note.reported ? 'Reported' : 'Report'}
          label={`Report the note of ${note.by}`}
          disabled={note.reported}
          busy={report.isPending}
          onPress={() => report.mutate()}
          style={{ flex: 1 }}
        />
      </View>
      <Button
        title={note.blocked ? 'Unblock the writer' : 'Block the writer'}
        label={note.blocked ? `Unblock ${note.by}` : `Block ${note.by}`}
        busy={block.isPending}
        onPress={() => block.mutate()}
      />
    </Card>
  );
}
