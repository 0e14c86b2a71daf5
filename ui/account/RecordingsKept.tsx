import { useMutation, useQueryClient } from '@tanstack/react-query';
import { View } from 'react-native';
import { ago, IconButton, megabytes, showToast, Text } from '../parts';
import { api } from '../state/api';
import { useRecordings } from '../state/queries';
import { SPACE, TARGET } from '../theme';
import { KEYS } from '../state/keys';

/** The recordings one's courses are built to, as far as they are kept on the server. */
export function RecordingsKept({ open }: { open: boolean }) {
  const client = useQueryClient();
  const { data = [] } = useRecordings(open);
  const heard = () => {
    void client.invalidateQueries({ queryKey: KEYS.recordings });
    void client.invalidateQueries({ queryKey: KEYS.bin });
  };
  const remove = useMutation({
    mutationFn: (file: string) => api.removeRecording(file),
    onSuccess: (_, file) => {
      heard();
      showToast('The recording is in the bin. Courses built to it fall silent in thirty days.', {
        label: 'Undo',
        act: () =>
          void api
            .restore('recordings', file)
            .then(heard)
            .catch((error: Error) => showToast(error.message)),
      });
    },
    onError: (error) => showToast(error.message),
  });
  if (data.length === 0) return null;
  return (
    <View>
      <Text as="strong">Recordings</Text>
      {data.map(({ file, bytes, made }) => (
        <View
          key={file}
          style={{
            flexDirection: 'row',
            alignItems: 'center',
            gap: SPACE.s,
            minHeight: TARGET,
          }}
        >
          <Text as="small" style={{ flex: 1 }}>
            {file.slice(-3).toUpperCase()}, {megabytes(bytes)}, {ago(made)}
          </Text>
          <IconButton
            icon="trash-2"
            label={`Delete the recording of ${megabytes(bytes)}`}
            onPress={() => remove.mutate(file)}
          />
        </View>
      ))}
    </View>
  );
}
