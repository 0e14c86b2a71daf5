import { View } from 'react-native';
import { Button, runTime, Text } from '../../parts';
import type { Finding } from '@/core/check';
import { SPACE } from '../../theme';
import { CheckState } from '../screen/FindingsSheet';

interface ProofProps {
  /** Seconds of the maker's own finish, where there is one. */
  readonly time: number | undefined;
  /** It is of the course as it is now. */
  readonly fresh: boolean;
  readonly errors: readonly Finding[];
  readonly onRun: () => void;
}

/** What a run can be begun with all the same: the run itself says so. */
const RUNNABLE = new Set<string>(['start', 'goal', 'name']);

/** Whether the course is known to be finished by its maker, and what is wrong with it. */
export function Proof({ time, fresh, errors, onRun }: ProofProps) {
  return (
    <View style={{ gap: SPACE.xs }}>
      <Text as="strong">Proof</Text>
      {fresh && time !== undefined ? (
        <Text testID="proof-state">
          Finished by you in <Text as="figures">{runTime(time)}</Text>, start to goal, without help.
        </Text>
      ) : (
        <Text testID="proof-state" tint={time === undefined ? 'slate' : 'rust'}>
          {time === undefined
            ? 'Before you publish, finish the course yourself, start to goal.'
            : 'The course has changed since you finished it. Run it once more, start to goal.'}
        </Text>
      )}
      <CheckState />
      {errors.map(({ message }) => (
        <Text key={message} tint="rust">
          {message}
        </Text>
      ))}
      {!fresh && (
        <Button
          kind="main"
          title="Run it"
          icon="play"
          onPress={onRun}
          disabled={errors.some(({ rule }) => !RUNNABLE.has(rule))}
        />
      )}
    </View>
  );
}
