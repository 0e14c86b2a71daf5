import { Fault } from '../../parts';

/** Said in place of anything about a course that cannot be opened. */
export function CannotOpen({
  error,
  onRetry,
}: {
  readonly error: Error;
  readonly onRetry: () => void;
}) {
  return (
    <Fault
      title="The course cannot be opened"
      words={error.message}
      action={{ label: 'Try again', act: onRetry }}
    />
  );
}
