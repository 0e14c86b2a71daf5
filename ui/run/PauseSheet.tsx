import { Button, Sheet } from '../parts';

interface PauseSheetProps {
  readonly open: boolean;
  readonly leaveLabel: string;
  readonly onGoOn: () => void;
  readonly onAgain: () => void;
  readonly onLeave: () => void;
}

/** What can be done while a run is held. */
export function PauseSheet({ open, leaveLabel, onGoOn, onAgain, onLeave }: PauseSheetProps) {
  return (
    <Sheet title="Paused" open={open} onClose={onGoOn}>
      <Button kind="main" title="Go on" icon="play" onPress={onGoOn} />
      <Button title="Start again" icon="rotate-ccw" onPress={onAgain} />
      <Button title={leaveLabel} icon="chevron-left" onPress={onLeave} />
    </Sheet>
  );
}
