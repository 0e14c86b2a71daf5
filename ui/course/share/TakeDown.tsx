import { useMutation, useQueryClient } from '@tanstack/react-query';
import { View } from 'react-native';
import { Button, showToast, Text } from '../../parts';
import { api } from '../../state/api';
import { SPACE } from '../../theme';
import { KEYS } from '../../state/keys';

interface TakeDownProps {
  readonly id: string;
  /** Whether what is published of it is up now. */
  readonly shown: boolean;
}

/** Takes what is published down, and puts it back as it was. */
export function TakeDown({ id, shown }: TakeDownProps) {
  const client = useQueryClient();
  const show = useMutation({
    mutationFn: (now: boolean) => api.show(id, now),
    onSuccess: (_, now) => {
      showToast(now ? 'It is up again, with its times.' : 'Taken down. Its times are kept.');
      for (const queryKey of [KEYS.course(id), KEYS.courses, KEYS.explore, KEYS.allPublished]) {
        void client.invalidateQueries({ queryKey });
      }
    },
    onError: (error) => showToast(error.message),
  });
  return (
    <View style={{ gap: SPACE.xs }}>
      {!shown && <Text tint="slate">It is taken down: the link opens for nobody.</Text>}
      <Button
        kind={shown ? 'danger' : 'plain'}
        icon={shown ? 'eye-off' : 'eye'}
        title={shown ? 'Take it down' : 'Put it back'}
        busy={show.isPending}
        onPress={() => show.mutate(!shown)}
        testID="take-down"
      />
    </View>
  );
}
