import { ActivityIndicator, View } from 'react-native';
import { SPACE, useColours } from '../theme';
import { Button } from './Button';
import { Text } from './Text';

/** Something is on its way. */
export function Loading({ what }: { what: string }) {
  const colours = useColours();
  return (
    <View
      style={{
        flex: 1,
        minHeight: 160,
        alignItems: 'center',
        justifyContent: 'center',
        gap: SPACE.m,
      }}
    >
      <ActivityIndicator color={colours.moss} accessibilityLabel={what} />
      <Text as="small" tint="slate">
        {what}
      </Text>
    </View>
  );
}

interface FaultProps {
  readonly title: string;
  readonly words: string;
  readonly action?: { readonly label: string; readonly act: () => void };
}

/** Something could not be shown: what is wrong and what to do. */
export function Fault({ title, words, action }: FaultProps) {
  return (
    <View
      accessibilityRole="alert"
      style={{
        flex: 1,
        minHeight: 200,
        alignItems: 'center',
        justifyContent: 'center',
        padding: SPACE.xl,
        gap: SPACE.m,
      }}
    >
      <Text as="heading" centred>
        {title}
      </Text>
      <Text as="text" tint="slate" centred style={{ maxWidth: 420 }}>
        {words}
      </Text>
      {action && <Button kind="main" title={action.label} onPress={action.act} />}
    </View>
  );
}

interface CannotOpenProps {
  /** What it is, as "The course". */
  readonly what: string;
  readonly error: Error;
  readonly onRetry: () => void;
}

/** Said in place of something that is there, for all that is known, and could not be asked for. */
export const CannotOpen = ({ what, error, onRetry }: CannotOpenProps) => (
  <Fault
    title={`${what} cannot be opened`}
    words={error.message}
    action={{ label: 'Try again', act: onRetry }}
  />
);
