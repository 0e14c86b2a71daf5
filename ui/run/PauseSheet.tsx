import { Button, Chip, Sheet, Words } from '../parts';

interface PauseSheetProps {
  readonly open: boolean;
  /** Whether the run is over because its time is up. */
  readonly late: boolean;
  readonly shapes: boolean;
  readonly onShapes: (shown: boolean) => void;
  readonly leaveLabel: string;
  readonly onGoOn: () => void;
  readonly onAgain: () => void;
  readonly onLeave: () => void;
}

/** What can be done while a run is held, or once its time is up. */
export function PauseSheet({
  open,
  late,
  shapes,
  onShapes,
  leaveLabel,
  onGoOn,
  onAgain,
  onLeave,
}: PauseSheetProps) {
  return (
    <Sheet title={late ? 'Time is up' : 'Paused'} open={open} onClose={late ? onAgain : onGoOn}>
      {late ? (
        <Words tint="slate">The goal was not reached in the time the course gives.</Words>
      ) : (
        <Button kind="main" title="Go on" icon="play" onPress={onGoOn} />
      )}
      <Button
        kind={late ? 'main' : 'plain'}
        title="Start again"
        icon="rotate-ccw"
        onPress={onAgain}
      />
      <Chip
        role="checkbox"
        label="Show collision shapes"
        on={shapes}
        onPress={() => onShapes(!shapes)}
      />
      <Button title={leaveLabel} icon="chevron-left" onPress={onLeave} />
    </Sheet>
  );
}
