import { useMutation, useQueryClient } from '@tanstack/react-query';
import { View } from 'react-native';
import { CORE_VERSION, type Run } from '@/core/run';
import { Button, runTime, showToast, Text } from '../../parts';
import { api } from '../../state/api';
import { atRest } from '../../state/saving';
import { SPACE } from '../../theme';
import { KEYS } from '../../state/keys';

interface TryAgainProps {
  readonly id: string;
  /** The finish of the course as it was, or by an earlier simulation. */
  readonly run: Run;
  /** Of the course as it is. */
  readonly hash: string;
}

/** Replays an earlier finish on the course as it is now. Where it still reaches the goal, the course is proved. */
export function TryAgain({ id, run, hash }: TryAgainProps) {
  const client = useQueryClient();
  const again = useMutation({
    mutationFn: async () => {
      await atRest(id);
      return api.prove(id, { ...run, core: CORE_VERSION, course: hash });
    },
    onSuccess: ({ time }) => {
      showToast(`It still holds: ${runTime(time)}.`);
      void client.invalidateQueries({ queryKey: KEYS.course(id) });
      void client.invalidateQueries({ queryKey: KEYS.courses });
    },
  });
  return (
    <View style={{ gap: SPACE.xs }}>
      <Button
        title="Try your last finish again"
        icon="rotate-cw"
        busy={again.isPending}
        onPress={() => again.mutate()}
        testID="try-again"
      />
      <Text as="small" tint={again.error ? 'rust' : 'slate'}>
        {again.error
          ? `${again.error.message} Finish the course anew.`
          : 'Replays what you pressed then on the course as it is now.'}
      </Text>
    </View>
  );
}
